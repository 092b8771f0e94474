import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { type AddressInfo, createServer } from 'node:net';
import { after, before, test } from 'node:test';
import { freePort } from '../../scripts/machine/ports.ts';
import type { Cluster } from '../../scripts/machine/postgres/cluster.ts';
import { startPassingCluster } from '../../scripts/machine/postgres/passing.ts';
import { type Replica, startReplica } from '../../scripts/machine/postgres/replica.ts';
import { createDatabase, prepareStudio } from '../../scripts/machine/studio.ts';
import { startWebServer, type WebServer } from '../../scripts/machine/webServer.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import { openDatabase, type Sql } from '../../src/server/database.ts';
import { later } from '../../src/server/reading.ts';

let cluster: Cluster;
let replica: Replica;
/** The replica, as its owner. */
let behind: Sql;
/** Two processes behind one address, as a proxy would spread requests. */
let processes: readonly WebServer[];

before(async () => {
  cluster = await startPassingCluster();
  const addresses = cluster.of('read');
  await createDatabase(cluster.of('postgres').owner, 'read');
  await prepareStudio(addresses);
  replica = await startReplica(cluster);
  behind = openDatabase(replica.urlOf(addresses.owner), { max: 1 });
  process.env['DATABASE_READ_URL'] = replica.urlOf(addresses.app);
  processes = await Promise.all([0, 1].map(async () => startWebServer(await freePort(), addresses.app, 'silent')));
  delete process.env['DATABASE_READ_URL'];
});
after(async () => {
  await Promise.all(processes.map((each) => each.stop()));
  await behind.end();
  await replica.stop().catch(() => undefined);
  await cluster.stop();
});

const at = (i: number) => processes[i]?.address ?? '';
const clientsAt = async (i: number, find: string, cookie = ''): Promise<number> => {
  const answer = await fetch(`${at(i)}/api/clients?find=${find}`, { headers: { cookie } });
  assert.equal(answer.status, 200);
  return ((await answer.json()) as { total: number }).total;
};
/** Adds a client; answers what the browser is to send along from then on. */
async function add(name: string): Promise<string> {
  const answer = await fetch(`${at(0)}/api/clients`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...kinds.clients.fresh, id: randomUUID(), name }),
  });
  assert.equal(answer.status, 201, await answer.clone().text());
  const [cookie = ''] = answer.headers.getSetCookie();
  assert.match(cookie, /^ropewalk-written=/);
  return cookie.split(';')[0] ?? '';
}
/** What the application asked the replica for last, on each of its connections. */
const askedOfReplica = async () =>
  (await behind<{ query: string }[]>`select query from pg_stat_activity where usename = 'ropewalk_app'`).map(({ query }) => query);
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
async function comesTo(wanted: number, counted: () => Promise<number>, message: string): Promise<void> {
  let last = -1;
  for (let tries = 0; tries < 100 && last !== wanted; tries++, await pause(100)) last = await counted();
  assert.equal(last, wanted, message);
}

test('what only reads is read on the replica', async () => {
  assert.equal((await behind`select pg_is_in_recovery() as follows`)[0]?.['follows'], true);
  for (let i = 0; i < 6; i++) assert.ok((await clientsAt(i % 2, '')) > 3);
  const asked = await askedOfReplica();
  assert.ok(
    asked.some((query) => query.includes('clients')),
    asked.join('\n'),
  );
});

test('whoever wrote reads it at once, on any process, however far the replica is behind; once it has come, there', async () => {
  await behind`select pg_wal_replay_pause()`;
  try {
    const cookie = await add('Lagging Wren');
    assert.equal(
      Number((await behind`select count(*)::int as n from clients where name = 'Lagging Wren'`)[0]?.['n']),
      0,
      'it is not behind',
    );
    for (const i of [0, 1]) assert.equal(await clientsAt(i, 'Lagging', cookie), 1, `process ${i} tells what was before`);
    const page = await (await fetch(`${at(1)}/clients?find=Lagging`, { headers: { cookie } })).text();
    assert.match(page, /Lagging Wren/, 'a page is from before');
    // Somebody else is told of it as soon as their process was.
    for (const i of [0, 1]) await comesTo(1, () => clientsAt(i, 'Lagging'), `process ${i} never saw it`);
  } finally {
    await behind`select pg_wal_replay_resume()`;
  }
  await comesTo(
    1,
    async () => Number((await behind`select count(*)::int as n from clients where name = 'Lagging Wren'`)[0]?.['n']),
    'not replicated',
  );
  assert.equal(await clientsAt(1, 'Lagging'), 1);
});

test('a replica that takes connections and never answers is done without', async () => {
  const stuck = createServer(() => undefined).listen(0, '127.0.0.1');
  await once(stuck, 'listening');
  const port = (stuck.address() as AddressInfo).port;
  process.env['DATABASE_READ_URL'] = Object.assign(new URL(cluster.of('read').app), { port: String(port) }).href;
  const alone = await startWebServer(await freePort(), cluster.of('read').app, 'silent');
  delete process.env['DATABASE_READ_URL'];
  try {
    for (let i = 0; i < 2; i++) assert.equal((await fetch(`${alone.address}/api/clients`)).status, 200);
  } finally {
    await alone.stop();
    stuck.close();
  }
});

test('a replica that is lost is done without', async () => {
  await replica.stop();
  for (const i of [0, 1]) assert.ok((await clientsAt(i, '')) > 3);
  const cookie = await add('Alone Heron');
  assert.equal(await clientsAt(1, 'Alone', cookie), 1);
});

test('places in the log are compared by what they count, not by how they are written', () => {
  assert.equal(later('0/FFFFFFFF', '1/0'), '1/0');
  assert.equal(later('A/10', '9/FFFFFFFF'), 'A/10');
  assert.equal(later('0/10', undefined), '0/10');
  assert.equal(later(undefined, '0/10'), '0/10');
  assert.equal(later('from somebody; else', '0/10'), '0/10');
  assert.equal(later(undefined, undefined), undefined);
});
