import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { main } from 'assemblyscript/asc';
import { MachineFailure } from '../machine/failure.ts';
import { root } from '../machine/paths.ts';

const contact = join('src', 'core', 'cloth', 'contact');

/** Where what is compiled from the kernel's sources is kept, to be run wherever knots are tied. */
export const compiledFile = join(root, contact, 'compiled.ts');

/** The contact kernel, compiled ahead, as the text of the file that is kept: the same sources and compiler give the same text. */
export async function compileKernel(): Promise<string> {
  let bytes = Buffer.alloc(0);
  const { error, stderr } = await main(
    [
      join(contact, 'kernel', 'index.ts'),
      '--outFile',
      'kernel.wasm',
      '--optimizeLevel',
      '3',
      // No more is freed than the whole, with the cloth that it was laid for.
      '--runtime',
      'stub',
      '--enable',
      'simd',
      // Arrays are indexed by their own counts.
      '--uncheckedBehavior',
      'always',
      '--noAssert',
    ],
    {
      writeFile: (_name, contents) => {
        if (typeof contents !== 'string') bytes = Buffer.from(contents);
      },
    },
  );
  if (error) throw new MachineFailure(`The contact kernel does not compile.\n${stderr.toString()}`);
  return [
    '/** The kernel beside it, compiled ahead by `npm run cloth kernel`: WebAssembly, as base64. */',
    `// biome-ignore format: one long line.\nexport const compiled = '${bytes.toString('base64')}';`,
    '',
  ].join('\n');
}

export async function writeKernel(): Promise<void> {
  writeFileSync(compiledFile, await compileKernel());
}
