import { randomBytes } from 'node:crypto';
import { freePort } from '../../scripts/machine/ports.ts';
import { createDatabase, dropDatabase, prepareStudio } from '../../scripts/machine/studio.ts';
import { startWebServer, type WebServer } from '../../scripts/machine/webServer.ts';
import { openDatabase, type Sql } from '../../src/server/database.ts';
import { type Gate, openGate } from './gate.ts';

export interface App {
  readonly address: string;
  readonly sql: Sql;
  /** What lies between the application and its database, and can be shut. */
  readonly gate: Gate;
  readonly restart: () => Promise<void>;
  readonly stop: () => Promise<void>;
}

/** A database of its own on the test run's server, without anything in it. */
export async function emptyDatabase(): Promise<{ readonly url: string; readonly drop: () => Promise<void> }> {
  const server = process.env['TEST_SERVER_URL'];
  if (!server) throw new Error('These tests need a database server: run them with npm test.');
  const name = `test_${randomBytes(6).toString('hex')}`;
  await createDatabase(server, name);
  const url = new URL(server);
  url.pathname = `/${name}`;
  return { url: url.href, drop: () => dropDatabase(server, name) };
}

/**
 * The built application with the demo studio in a database of its own. Unless it is `taught`, its fit book is empty: what was
 * learnt moves every figure, and most tests speak of the formulas’ own.
 */
export async function startApp({ taught = false } = {}): Promise<App> {
  const database = await emptyDatabase();
  await prepareStudio(database.url);
  const sql = openDatabase(database.url, { max: 2 });
  if (!taught) await sql`delete from tyings`;
  const behind = new URL(database.url);
  const gate = await openGate(Number(behind.port));
  behind.port = String(gate.port);
  const port = await freePort();
  // The tests break things on purpose: what the application logs of it is not of interest.
  const start = () => startWebServer(port, behind.href, 'silent');
  let web: WebServer = await start();
  return {
    address: web.address,
    sql,
    gate,
    restart: async () => {
      await web.stop();
      web = await start();
    },
    stop: async () => {
      await web.stop();
      await gate.close();
      await sql.end();
      await database.drop();
    },
  };
}
