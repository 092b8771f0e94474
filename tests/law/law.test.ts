import assert from 'node:assert/strict';
import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { after, before, test } from 'node:test';
import { foreign, layers } from '../../scripts/law/layers.mjs';
import { root } from '../../scripts/machine/paths.ts';

/** One import, in a file of its own. */
interface Planted {
  readonly file: string;
  readonly from: string;
  readonly forType?: true;
}

let folder: string;
before(() => {
  folder = mkdtempSync(join(tmpdir(), 'ropewalk-law-'));
  for (const file of ['.dependency-cruiser.mjs', 'tsconfig.json', 'scripts/law'])
    cpSync(join(root, file), join(folder, file), { recursive: true });
  symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'));
});
after(() => rmSync(folder, { recursive: true }));

function write(file: string, text: string): void {
  mkdirSync(dirname(join(folder, file)), { recursive: true });
  writeFileSync(join(folder, file), text);
}

/** The planted files that the law refuses. */
function refused(planted: readonly Planted[]): string[] {
  rmSync(join(folder, 'src'), { recursive: true, force: true });
  for (const layer of Object.keys(layers)) write(`src/${layer}/target.ts`, 'export const a = 1;\n');
  for (const { file, from, forType } of planted) {
    write(
      file,
      forType
        ? `import type { a } from '${from}';\n\nexport type B = typeof a;\n`
        : `import { a } from '${from}';\n\nexport const b = a;\n`,
    );
  }
  const { stdout, stderr } = spawnSync(
    process.execPath,
    [
      join(root, 'node_modules', 'dependency-cruiser', 'bin', 'dependency-cruise.mjs'),
      '--config',
      '.dependency-cruiser.mjs',
      '--output-type',
      'json',
      'src',
    ],
    { cwd: folder, encoding: 'utf8', maxBuffer: 1e9 },
  );
  assert.ok(stdout.startsWith('{'), stderr);
  const { summary } = JSON.parse(stdout) as { summary: { violations: { from: string }[] } };
  return [...new Set(summary.violations.map(({ from }) => from))].sort();
}

const names = Object.keys(layers);
const filesOf = (planted: readonly Planted[]) => planted.map(({ file }) => file).sort();
/** Every pair of folders, as an import from one into the other. */
const pairs = names.flatMap((from) =>
  names
    .filter((to) => to !== from)
    .map((to) => {
      const file = `src/${from}/to-${to.replace('/', '-')}.ts`;
      return { file, from: relative(dirname(file), `src/${to}/target.ts`), allowed: layers[from]?.includes(to) === true };
    }),
);

test('whatever the table does not allow is refused, and nothing it allows: every folder into every other', () => {
  assert.ok(pairs.some(({ allowed }) => allowed) && pairs.some(({ allowed }) => !allowed));
  assert.deepEqual(refused(pairs), filesOf(pairs.filter(({ allowed }) => !allowed)));
});

test('packages and parts of Node.js that are no business of a folder are refused', () => {
  const installed = (name: string) => (name === 'builtin' ? 'node:fs' : name === '@tanstack/' ? '@tanstack/react-query' : name);
  const planted = Object.entries(foreign).flatMap(([layer, packages]) =>
    packages.map((name, i) => ({ file: `src/${layer === 'islands' ? 'islands/ui' : layer}/package-${i}.ts`, from: installed(name) })),
  );
  const fine = [
    { file: 'src/core/fine.ts', from: 'culori' },
    { file: 'src/contract/fine.ts', from: 'joi' },
    { file: 'src/server/fine.ts', from: 'postgres' },
    { file: 'src/shell/fine.ts', from: 'express' },
    { file: 'src/scene/fine.ts', from: 'three' },
    { file: 'src/islands/ui/fine.ts', from: 'react' },
  ];
  assert.deepEqual(refused([...planted, ...fine]), filesOf(planted));
});

test('what is imported for its type alone counts, and so does a circle', () => {
  const planted = { file: 'src/core/typed.ts', from: '../server/target.ts', forType: true } as const;
  assert.deepEqual(refused([planted, { file: 'src/core/one.ts', from: './two.ts' }, { file: 'src/core/two.ts', from: './one.ts' }]), [
    'src/core/one.ts',
    'src/core/typed.ts',
  ]);
});

test('the table in the documents is the table of the law', () => {
  const text = readFileSync(join(root, 'docs', 'architecture.md'), 'utf8');
  for (const [layer, allowed] of Object.entries(layers)) {
    const row = new RegExp(`^\\| \`src/${layer}\` \\|[^|]*\\| ([^|]*) \\|$`, 'm').exec(text)?.[1] ?? 'no row';
    const told = [...row.matchAll(/`([^`]+)`/g)].map(([, name]) => name ?? '').sort();
    assert.deepEqual(told, [...allowed].sort(), layer);
  }
});
