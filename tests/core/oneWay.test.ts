import assert from 'node:assert/strict';
import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import test from 'node:test';
import { root } from '../../scripts/machine/paths.ts';

const forbidden: readonly [path: string, from: string][] = [
  ['src/core/plan/a.ts', '../../server/database.ts'],
  ['src/core/plan/b.ts', '../../contract/records/records.ts'],
  ['src/core/plan/c.ts', 'react'],
  ['src/core/plan/d.ts', 'node:fs'],
  ['src/contract/e.ts', '../server/log.ts'],
  ['src/drawing/knot/f.ts', '../../islands/records/http.ts'],
  ['src/drawing/knot/n.ts', '../../scene/KnotScene.ts'],
  ['src/scene/o.ts', 'react'],
  ['src/scene/p.ts', '../islands/records/http.ts'],
  ['src/islands/bench/g.ts', '../../server/log.ts'],
  ['src/islands/bench/h.ts', 'postgres'],
  ['src/server/i.ts', '../islands/records/http.ts'],
  ['src/server/j.ts', '../drawing/knot/face.ts'],
];

const allowed: readonly [path: string, from: string][] = [
  ['src/core/plan/k.ts', '../knot/knot.ts'],
  ['src/server/l.ts', '../core/index.ts'],
  ['src/islands/bench/m.ts', '../../drawing/knot/face.ts'],
];

test('imports go one way only: the linter refuses what points back, and nothing else', () => {
  const folder = mkdtempSync(join(tmpdir(), 'ropewalk-lint-'));
  try {
    copyFileSync(join(root, 'biome.json'), join(folder, 'biome.json'));
    for (const [path, from] of [...forbidden, ...allowed]) {
      mkdirSync(join(folder, dirname(path)), { recursive: true });
      writeFileSync(join(folder, path), `import { a } from '${from}';\n\nexport const b = a;\n`);
    }
    const { stdout, stderr } = spawnSync(
      join(root, 'node_modules', '.bin', 'biome'),
      ['lint', '--vcs-enabled=false', '--only=style/noRestrictedImports', '--max-diagnostics=none', '.'],
      { cwd: folder, encoding: 'utf8' },
    );
    const refused = [...`${stdout}${stderr}`.matchAll(/(src\/\S+?\.ts):\d+:\d+ lint\/style\/noRestrictedImports/g)].map(([, path]) => path);
    assert.deepEqual(refused.sort(), forbidden.map(([path]) => path).sort());
  } finally {
    rmSync(folder, { recursive: true });
  }
});
