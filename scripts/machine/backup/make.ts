import { randomBytes } from 'node:crypto';
import { closeSync, fsyncSync, mkdirSync, openSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import postgres from 'postgres';
import { MachineFailure } from '../failure.ts';
import { createDatabase, dropDatabase } from '../studio.ts';
import { differing, type Fingerprint, fingerprint, rowsIn } from './fingerprint.ts';
import { backupName, superfluous } from './keep.ts';
import { onDatabase, ToolFailure } from './programs.ts';

export interface Backup {
  readonly file: string;
  readonly bytes: number;
  readonly rows: number;
}

/**
 * Writes a database to a file and holds it to be good once it was restored into another database and found to be the
 * same, row by row. `owner` is its owner’s address. Without it nothing stays behind but a line on record that it failed.
 */
export async function makeBackup(owner: string, file: string): Promise<Backup> {
  const sql = postgres(owner, { max: 2, connect_timeout: 10, onnotice: () => undefined });
  try {
    const [alone] = await sql<{ got: boolean }[]>`select pg_try_advisory_lock(hashtext('ropewalk backup')) as got`;
    if (!alone?.got) throw new MachineFailure('A backup is being made already.');
    await dropLeftChecks(sql, owner);
    const madeAt = new Date();
    try {
      const backup = await written(sql, owner, file);
      await sql`insert into backups ${sql({ made_at: madeAt, file, bytes: backup.bytes, rows: backup.rows })}`;
      return backup;
    } catch (error) {
      const failure = reasonOf(error);
      await sql`insert into backups ${sql({ made_at: madeAt, file, failure })}`.catch(() => undefined);
      throw new MachineFailure(`The backup failed: ${failure} The records themselves were not touched.`);
    }
  } finally {
    await sql.end({ timeout: 5 });
  }
}

async function written(sql: postgres.Sql, owner: string, file: string): Promise<Backup> {
  const part = `${file}.part`;
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  try {
    const print = await sql.begin('isolation level repeatable read read only', async (moment) => {
      // What is written and what it is held against are of the same moment.
      const [snapshot] = await moment<{ id: string }[]>`select pg_export_snapshot() as id`;
      await onDatabase(owner, 'pg_dump', ['-Fc', '--no-owner', '--no-privileges', `--snapshot=${snapshot?.id}`, '-f', part]);
      return fingerprint(moment);
    });
    await checked(owner, part, print);
    ontoDisk(part);
    renameSync(part, file);
    ontoDisk(dirname(file));
    return { file, bytes: statSync(file).size, rows: rowsIn(print) };
  } finally {
    rmSync(part, { force: true });
  }
}

/** Restores what was written into a database of its own, and compares. */
async function checked(owner: string, file: string, print: Fingerprint): Promise<void> {
  const name = `${checksOf(owner)}${randomBytes(6).toString('hex')}`;
  const url = Object.assign(new URL(owner), { pathname: `/${name}` }).href;
  await createDatabase(owner, name);
  try {
    await onDatabase(url, 'pg_restore', ['--no-owner', '--no-privileges', '--exit-on-error', '-d', name, file]);
    const sql = postgres(url, { max: 1 });
    try {
      const other = differing(print, await fingerprint(sql));
      if (other.length > 0) throw new Error(`What was read back differs in ${other.join(', ')}.`);
    } finally {
      await sql.end();
    }
  } finally {
    await dropDatabase(owner, name);
  }
}

/** How the databases are called that backups of this one are checked in. */
function checksOf(owner: string): string {
  return `${decodeURIComponent(new URL(owner).pathname.slice(1))}_check_`;
}

/** A backup that was cut off leaves its check behind; while nobody else makes one, what is there is such. */
async function dropLeftChecks(sql: postgres.Sql, owner: string): Promise<void> {
  const left = await sql<{ name: string }[]>`select datname as name from pg_database where starts_with(datname, ${checksOf(owner)})`;
  for (const { name } of left) await dropDatabase(owner, name);
}

/** Removes what need not be kept any more from a folder of nightly backups, and what was cut off. */
export function prune(folder: string): void {
  const names = readdirSync(folder);
  const cutOff = names.filter((name) => name.startsWith('ropewalk-') && name.endsWith('.dump.part'));
  for (const name of [...superfluous(names), ...cutOff]) rmSync(join(folder, name), { force: true });
}

/** A backup beside the others, by the time it is made. */
export function backupIn(folder: string): string {
  return join(folder, backupName(new Date()));
}

/** What stands in a page of memory only is gone with the current. */
function ontoDisk(path: string): void {
  const opened = openSync(path, 'r');
  fsyncSync(opened);
  closeSync(opened);
}

function reasonOf(error: unknown): string {
  const text = error instanceof ToolFailure ? error.message : error instanceof Error ? error.message : String(error);
  if (/ENOSPC|no space left/i.test(text)) return 'the disk is full.';
  if (/EEXIST|ENOTDIR|EACCES|EPERM|EROFS|permission denied|could not open output file/i.test(text))
    return 'its folder can’t be written to.';
  return /[.!]$/.test(text) ? text : `${text}.`;
}
