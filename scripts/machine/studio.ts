import { join } from 'node:path';
import postgres from 'postgres';
import { loadDemo } from '../../db/demo/load.ts';
import { openDatabase } from '../../src/server/database.ts';
import { migrate } from '../../src/server/migrate.ts';
import { MachineFailure } from './failure.ts';
import { root } from './paths.ts';

/** Creates a database on a server unless it is there. `serverUrl` names any database of that server. */
export async function createDatabase(serverUrl: string, name: string): Promise<void> {
  const sql = postgres(serverUrl, { max: 1 });
  try {
    const there = await sql`select 1 from pg_database where datname = ${name}`;
    if (there.length === 0) await sql`create database ${sql(name)}`;
  } finally {
    await sql.end();
  }
}

export async function dropDatabase(serverUrl: string, name: string): Promise<void> {
  const sql = postgres(serverUrl, { max: 1 });
  try {
    await sql`drop database if exists ${sql(name)} with (force)`;
  } finally {
    await sql.end();
  }
}

/** Brings the schema up to date and, where no studio is kept yet, sets up the demo studio. */
export async function prepareStudio(url: string, say: (line: string) => void = () => undefined): Promise<void> {
  const sql = openDatabase(url, { max: 1 });
  try {
    await sql`select 1`.catch((error: unknown) => {
      throw new MachineFailure(`The database does not answer: ${reasonOf(error)}. Is DATABASE_URL right, and is the server running?`);
    });
    const applied = await migrate(url, join(root, 'db', 'migrations')).catch((error: unknown) => {
      throw new MachineFailure(`Bringing the database up to date failed, so it was left as it was: ${reasonOf(error)}`);
    });
    if (applied.length > 0) say(`Database brought up to date: ${applied.join(', ')}`);
    if (await loadDemo(sql)) say('Demo studio Lanternmoor loaded.');
  } finally {
    await sql.end();
  }
}

function reasonOf(error: unknown): string {
  if (error instanceof AggregateError) return error.errors.map(reasonOf).join('; ');
  return error instanceof Error ? error.message : String(error);
}
