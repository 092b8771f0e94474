import { randomBytes } from 'node:crypto';
import { existsSync, statSync } from 'node:fs';
import { format } from 'date-fns';
import postgres from 'postgres';
import { MachineFailure } from '../failure.ts';
import type { Addresses } from '../postgres/cluster.ts';
import { createDatabase, dropDatabase, prepareStudio } from '../studio.ts';
import { fingerprint, rowsIn } from './fingerprint.ts';
import { onDatabase } from './programs.ts';

export interface Restored {
  readonly rows: number;
  /** The database in which the records that stood there before are kept; `undefined` where there were none. */
  readonly before: string | undefined;
}

/**
 * Puts the records of a backup in place of those that are there, which are kept aside. All of it or nothing: it is read into a
 * database of its own and brought up to date there, and only then takes the other’s name. Refuses while anybody is connected.
 */
export async function restoreBackup(file: string, { owner, app }: Addresses, say: (line: string) => void): Promise<Restored> {
  if (!existsSync(file)) throw new MachineFailure(`There is no file ${file}. Nothing was changed.`);
  const name = decodeURIComponent(new URL(owner).pathname.slice(1));
  const at = (url: string, database: string) => Object.assign(new URL(url), { pathname: `/${database}` }).href;
  const fresh = `${name}_new_${randomBytes(6).toString('hex')}`;
  const server = postgres(at(owner, 'postgres'), { max: 1, connect_timeout: 10, onnotice: () => undefined });
  try {
    await refuseWhileUsed(server, name);
    await createDatabase(at(owner, 'postgres'), fresh);
    try {
      await onDatabase(at(owner, fresh), 'pg_restore', ['--no-owner', '--no-privileges', '--exit-on-error', '-d', fresh, file]).catch(
        (error: Error) => {
          throw new MachineFailure(`${file} can’t be read as a backup: ${error.message} Nothing was changed.`);
        },
      );
      const rows = await noted(at(owner, fresh), file);
      await prepareStudio({ owner: at(owner, fresh), app: at(app, fresh) }, say);
      if (await isBare(at(owner, name))) await dropDatabase(at(owner, 'postgres'), name);
      return { rows, before: await swapped(server, name, fresh) };
    } catch (error) {
      await dropDatabase(at(owner, 'postgres'), fresh);
      throw error;
    }
  } finally {
    await server.end({ timeout: 5 });
  }
}

async function refuseWhileUsed(server: postgres.Sql, name: string): Promise<void> {
  const [used] = await server<{ by: number }[]>`select count(*)::int as by from pg_stat_activity where datname = ${name}`;
  if ((used?.by ?? 0) > 0)
    throw new MachineFailure('Ropewalk is using these records. End it first (Ctrl-C), then restore. Nothing was changed.');
}

/** Puts on record that this backup is a good one; answers how many rows it holds. */
async function noted(url: string, file: string): Promise<number> {
  const sql = postgres(url, { max: 1 });
  try {
    const rows = rowsIn(await fingerprint(sql));
    const [has] = await sql`select to_regclass('backups') as there`;
    if (has?.['there']) {
      const { size: bytes, mtime } = statSync(file);
      await sql`insert into backups ${sql({ made_at: mtime, file, bytes, rows })} on conflict do nothing`;
    }
    return rows;
  } finally {
    await sql.end();
  }
}

/** Whether nothing was ever kept in a database. */
async function isBare(url: string): Promise<boolean> {
  const sql = postgres(url, { max: 1, connect_timeout: 10 });
  try {
    const [studios] = await sql`select to_regclass('studios') as there`;
    return studios?.['there'] === null;
  } catch {
    return false;
  } finally {
    await sql.end();
  }
}

/** Exchanges the names in one transaction; answers the name under which what was there stays. */
async function swapped(server: postgres.Sql, name: string, fresh: string): Promise<string | undefined> {
  const before = `${name}_before_${format(new Date(), 'yyyyMMdd_HHmmss')}`;
  return server.begin(async (transaction) => {
    const there = await transaction`select 1 from pg_database where datname = ${name}`;
    if (there.length > 0) await transaction`alter database ${transaction(name)} rename to ${transaction(before)}`;
    await transaction`alter database ${transaction(fresh)} rename to ${transaction(name)}`;
    return there.length > 0 ? before : undefined;
  });
}
