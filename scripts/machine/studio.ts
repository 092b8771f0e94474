import { join } from 'node:path';
import postgres from 'postgres';
import { loadDemo } from '../../db/demo/load.ts';
import { openDatabase } from '../../src/server/database.ts';
import { LaterSchema, migrate } from '../../src/server/migrate.ts';
import { MachineFailure } from './failure.ts';
import { root } from './paths.ts';
import type { Addresses } from './postgres/cluster.ts';
import { grantRecords } from './postgres/roles.ts';

const connectSeconds = 10;

/** Creates a database on a server unless it is there, empty or as a copy of one that nobody uses. `serverUrl` names any database of that server. */
export async function createDatabase(serverUrl: string, name: string, copyOf?: string): Promise<void> {
  await onServer(serverUrl, async (sql) => {
    const there = await sql`select 1 from pg_database where datname = ${name}`;
    if (there.length > 0) return;
    await sql`create database ${sql(name)} ${copyOf === undefined ? sql`` : sql`template ${sql(copyOf)}`}`.catch((error: unknown) => {
      // Another start was quicker.
      if (!(error instanceof postgres.PostgresError && ['42P04', '23505'].includes(error.code))) throw error;
    });
  });
}

export async function dropDatabase(serverUrl: string, name: string): Promise<void> {
  await onServer(serverUrl, (sql) => sql`drop database if exists ${sql(name)} with (force)`);
}

async function onServer(url: string, run: (sql: postgres.Sql) => Promise<unknown>): Promise<void> {
  const sql = postgres(url, { max: 1, connect_timeout: connectSeconds, onnotice: () => undefined });
  try {
    await run(sql);
  } finally {
    await sql.end();
  }
}

/** Brings the schema up to date, lets the application at its records and, where no studio is kept yet, sets up the demo studio. */
export async function prepareStudio({ owner, app }: Addresses, say: (line: string) => void = () => undefined): Promise<void> {
  const sql = openDatabase(app, { max: 1 });
  try {
    await sql`select 1`.catch((error: unknown) => {
      throw new MachineFailure(`The database does not answer: ${reasonOf(error)}. Is DATABASE_URL right, and is the server running?`);
    });
    const applied = await migrate(owner, join(root, 'db', 'migrations')).catch((error: unknown) => {
      if (error instanceof LaterSchema)
        throw new MachineFailure(
          'The records were last used by a later Ropewalk than this one. Start that one; nothing was changed by this.',
        );
      throw new MachineFailure(`Bringing the database up to date failed, so it was left as it was: ${reasonOf(error)}`);
    });
    if (applied.length > 0) say(`Database brought up to date: ${applied.join(', ')}`);
    const role = decodeURIComponent(new URL(app).username);
    if (role !== decodeURIComponent(new URL(owner).username)) await grantRecords(owner, role);
    if (await loadDemo(sql)) say('Demo studio Lanternmoor loaded.');
  } finally {
    await sql.end();
  }
}

function reasonOf(error: unknown): string {
  if (error instanceof AggregateError) return error.errors.map(reasonOf).join('; ');
  return error instanceof Error ? error.message : String(error);
}
