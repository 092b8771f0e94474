import { randomBytes } from 'node:crypto';
import { freePort } from '../../scripts/machine/ports.ts';
import type { Addresses } from '../../scripts/machine/postgres/cluster.ts';
import { createDatabase, dropDatabase } from '../../scripts/machine/studio.ts';
import { startWebServer, type WebServer } from '../../scripts/machine/webServer.ts';
import { openDatabase, type Sql } from '../../src/server/database.ts';
import { type Gate, openGate } from './gate.ts';

export interface App {
  readonly address: string;
  readonly sql: Sql;
  /** Where the application reaches its records. */
  readonly databaseUrl: string;
  /** What lies between the application and its database, and can be shut. */
  readonly gate: Gate;
  readonly restart: () => Promise<void>;
  /** Ends the server; what it told stays on record. */
  readonly goDown: () => Promise<void>;
  /** Starts it again where it was. */
  readonly comeUp: () => Promise<void>;
  readonly stop: () => Promise<void>;
}

/** A database of a test’s own; `url` is its owner’s. */
export interface OwnDatabase {
  readonly url: string;
  readonly addresses: Addresses;
  readonly drop: () => Promise<void>;
}

/** One without anything in it, on the test run's server. */
export function emptyDatabase(): Promise<OwnDatabase> {
  return ownDatabase();
}

/** One with the schema and the demo studio, as the test run laid it out once. */
export function demoDatabase(): Promise<OwnDatabase> {
  return ownDatabase(process.env['TEST_DEMO_DATABASE']);
}

async function ownDatabase(copyOf?: string): Promise<OwnDatabase> {
  const [owner, app] = [process.env['TEST_OWNER_URL'], process.env['TEST_APP_URL']];
  if (!owner || !app) throw new Error('These tests need a database server: run them with npm test.');
  const name = `test_${randomBytes(6).toString('hex')}`;
  await createDatabase(owner, name, copyOf);
  const of = (server: string) => Object.assign(new URL(server), { pathname: `/${name}` }).href;
  const addresses = { owner: of(owner), app: of(app) };
  return { url: addresses.owner, addresses, drop: () => dropDatabase(owner, name) };
}

/**
 * The built application with the demo studio in a database of its own. Unless it is `taught`, its fit book is empty: what was
 * learnt moves every figure, and most tests speak of the formulas’ own.
 */
export async function startApp({ taught = false } = {}): Promise<App> {
  const database = await demoDatabase();
  const sql = openDatabase(database.url, { max: 2 });
  if (!taught) await sql`delete from tyings`;
  const behind = new URL(database.addresses.app);
  const gate = await openGate(Number(behind.port));
  behind.port = String(gate.port);
  const port = await freePort();
  // The tests break things on purpose: what the application logs of it is not of interest.
  const start = () => startWebServer(port, behind.href, 'silent');
  let web: WebServer = await start();
  const goDown = () => web.stop();
  const comeUp = async () => {
    web = await start();
  };
  return {
    address: web.address,
    sql,
    databaseUrl: database.addresses.app,
    gate,
    restart: async () => {
      await goDown();
      await comeUp();
    },
    goDown,
    comeUp,
    stop: async () => {
      await web.stop();
      await gate.close();
      await sql.end();
      await database.drop();
    },
  };
}
