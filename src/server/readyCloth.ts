import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { gunzip } from 'node:zlib';
import { type SeenCloth, unpackCloth } from '../core/cloth/mesh/compact.ts';

/** Where the built application keeps what it serves as it is. */
const folder = join(process.cwd(), 'public', 'cloth');
const unzip = promisify(gunzip);

/** A knot's ready mesh; `undefined` where none is kept. */
export async function readyCloth(code: string): Promise<SeenCloth | undefined> {
  try {
    return unpackCloth(await unzip(await readFile(join(folder, `${code}.bin.gz`))));
  } catch (error) {
    if (error instanceof Error && 'code' in error && error.code === 'ENOENT') return undefined;
    throw error;
  }
}
