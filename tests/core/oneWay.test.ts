import assert from 'node:assert/strict';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import test from 'node:test';
import { root } from '../../scripts/machine/paths.ts';

/** Lints `source` as if it stood at `path`, and returns whether it passes. */
function passes(path: string, source: string): boolean {
  const result = spawnSync(join(root, 'node_modules', '.bin', 'biome'), ['lint', `--stdin-file-path=${path}`], {
    cwd: root,
    input: source,
    encoding: 'utf8',
  });
  return !`${result.stdout}${result.stderr}`.includes('noRestrictedImports');
}

const forbidden: readonly [path: string, from: string][] = [
  ['src/core/plan/x.ts', '../../server/database.ts'],
  ['src/core/plan/x.ts', '../../contract/records.ts'],
  ['src/core/plan/x.ts', 'react'],
  ['src/core/plan/x.ts', 'node:fs'],
  ['src/contract/x.ts', '../server/log.ts'],
  ['src/drawing/knot/x.ts', '../../islands/records/http.ts'],
  ['src/islands/bench/x.ts', '../../server/log.ts'],
  ['src/islands/bench/x.ts', 'postgres'],
  ['src/server/x.ts', '../islands/records/http.ts'],
  ['src/server/x.ts', '../drawing/knot/face.ts'],
];

test('imports go one way only: what points back is refused by the linter', () => {
  for (const [path, from] of forbidden) {
    assert.equal(passes(path, `import { a } from '${from}';\nexport const b = a;\n`), false, `${path} may not import ${from}`);
  }
  assert.ok(passes('src/core/plan/x.ts', "import { a } from '../knot/knot.ts';\nexport const b = a;\n"));
  assert.ok(passes('src/server/x.ts', "import { a } from '../core/index.ts';\nexport const b = a;\n"));
});
