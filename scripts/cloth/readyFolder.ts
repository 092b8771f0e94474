import { join } from 'node:path';
import { root } from '../machine/paths.ts';

/** Where ready meshes lie, to be served as they are. */
export const readyFolder = join(root, 'public', 'cloth');

/** Where the ready steps lie beside them. */
export const stepsFolder = join(readyFolder, 'steps');
