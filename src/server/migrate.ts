import { basename } from 'node:path';
import Postgrator from 'postgrator';
import postgres from 'postgres';

/** The database is further than the files know: a later version of the application has used it. */
export class LaterSchema extends Error {}

/** One at a time, whoever starts first; any fixed number serves. */
const migrationLock = 7_150_204;

const connectSeconds = 10;

/**
 * Brings the schema of the database at `url` up to date from the numbered files in `folder`
 * and returns the names of those applied. All in one transaction: after a failure the schema
 * is as it was. Refuses a schema later than the files with `LaterSchema`.
 */
export async function migrate(url: string, folder: string): Promise<string[]> {
  // A plain connection: the migration tool reads catalogue columns by their own names.
  const sql = postgres(url, { max: 1, connect_timeout: connectSeconds, onnotice: () => undefined });
  try {
    const applied = await sql.begin(async (transaction) => {
      await transaction`select pg_advisory_xact_lock(${migrationLock})`;
      const postgrator = new Postgrator({
        driver: 'pg',
        migrationPattern: `${folder}/*.sql`,
        schemaTable: 'schema_versions',
        execQuery: async (statement: string) => ({ rows: await transaction.unsafe(statement) }),
        execSqlScript: async (script: string) => {
          await transaction.unsafe(script);
        },
      });
      const [there, known] = [await postgrator.getDatabaseVersion(), await postgrator.getMaxVersion()];
      if (there > known) throw new LaterSchema(`The schema is ${there}, the latest file ${known}.`);
      return postgrator.migrate();
    });
    return applied.map(({ filename }) => basename(filename));
  } finally {
    await sql.end();
  }
}
