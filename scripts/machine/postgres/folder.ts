import { createHash } from 'node:crypto';
import { existsSync, mkdirSync } from 'node:fs';
import { homedir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { MachineFailure } from '../failure.ts';
import { canWrite, root } from '../paths.ts';
import { isRoot, toOwner } from './account.ts';

/**
 * Where the studio of this checkout is kept: where `ROPEWALK_DATA` says; otherwise as root in a place that PostgreSQL’s own
 * account can reach, else in the checkout, or at home where that can’t be written to.
 */
export function lastingFolder(): string {
  const named = process.env['ROPEWALK_DATA'];
  if (named) return resolve(named);
  const ofCheckout = createHash('sha256').update(root).digest('hex').slice(0, 12);
  if (isRoot) return join('/var/lib/ropewalk', ofCheckout);
  const inCheckout = join(root, '.data');
  if (canWrite(existsSync(inCheckout) ? inCheckout : root)) return join(inCheckout, 'postgres');
  return join(process.env['XDG_STATE_HOME'] || join(homedir(), '.local', 'state'), 'ropewalk', ofCheckout);
}

/** Makes a folder for PostgreSQL’s account alone, unless it is there. */
export function ensureFolder(folder: string): void {
  try {
    // Those above it must let that account through.
    mkdirSync(dirname(folder), { recursive: true, mode: 0o755 });
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    toOwner(folder);
  } catch (error) {
    throw new MachineFailure(
      `The studio’s records can’t be kept in ${folder}: ${(error as Error).message}. Name another folder: ROPEWALK_DATA=/path npm start`,
    );
  }
}

/** Where nightly backups go: where `ROPEWALK_BACKUPS` says, best on another disk; otherwise beside the records. */
export function backupFolder(): string {
  const named = process.env['ROPEWALK_BACKUPS'];
  return named ? resolve(named) : join(lastingFolder(), 'backups');
}
