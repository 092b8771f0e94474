import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../machine/paths.ts';

/** What the ready meshes come from: the code that ties. What looks at them, in `seen`, does not move a mesh. */
const folder = join(root, 'src', 'core', 'cloth');

export function clothSourceHash(): string {
  const hash = createHash('sha256');
  for (const file of readdirSync(folder).sort()) if (file.endsWith('.ts')) hash.update(readFileSync(join(folder, file)));
  return hash.digest('hex').slice(0, 16);
}
