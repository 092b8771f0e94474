import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../machine/paths.ts';

/** What the ready meshes come from: the cloth's own code. Pictures and measures do not move a mesh. */
const folder = join(root, 'src', 'core', 'cloth');
const apart = new Set(['measure.ts', 'picture.ts', 'weave.ts']);

export function clothSourceHash(): string {
  const hash = createHash('sha256');
  for (const file of readdirSync(folder).sort()) if (!apart.has(file)) hash.update(readFileSync(join(folder, file)));
  return hash.digest('hex').slice(0, 16);
}
