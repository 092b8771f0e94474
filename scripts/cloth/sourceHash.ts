import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { root } from '../machine/paths.ts';

/**
 * What the ready meshes, and those kept on devices, come from: all the code that ties, or that shows the tying step by step, as its
 * worker runs it, with every table it reads. Minified, so that neither comments nor where a file lies count.
 */
export function clothSourceHash(worker: 'cloth' | 'steps' = 'cloth'): string {
  const { outputFiles } = buildSync({
    entryPoints: [join(root, 'src', 'workers', `${worker}.worker.ts`)],
    bundle: true,
    minify: true,
    format: 'esm',
    target: 'es2023',
    write: false,
    external: ['comlink'],
    legalComments: 'none',
  });
  return createHash('sha256')
    .update(outputFiles[0]?.contents ?? '')
    .digest('hex')
    .slice(0, 16);
}
