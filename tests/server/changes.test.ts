import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { after, before, test } from 'node:test';
import { freePort } from '../../scripts/machine/ports.ts';
import { startWebServer, type WebServer } from '../../scripts/machine/webServer.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import { withoutValues } from '../../src/server/log.ts';
import { routeOf } from '../../src/shell/metrics.ts';
import { type App, startApp } from '../support/app.ts';

let app: App;
/** Another process on the same records. */
let other: WebServer;
let metricsPort: number;
before(async () => {
  app = await startApp();
  metricsPort = await freePort();
  process.env['ROPEWALK_METRICS_PORT'] = String(metricsPort);
  other = await startWebServer(await freePort(), app.databaseUrl, 'silent');
  delete process.env['ROPEWALK_METRICS_PORT'];
});
after(async () => {
  await other.stop();
  await app.stop();
});

/** The tables told of on a line, as they come. */
async function listening(address: string) {
  const leaving = new AbortController();
  const answer = await fetch(`${address}/api/changes`, { signal: leaving.signal });
  assert.equal(answer.headers.get('content-type'), 'text/event-stream; charset=utf-8');
  const told: string[] = [];
  let text = '';
  const ended = (async () => {
    for await (const chunk of answer.body as unknown as AsyncIterable<Uint8Array>) {
      text += new TextDecoder().decode(chunk);
      told.splice(0, told.length, ...[...text.matchAll(/^data: (.*)$/gm)].flatMap(([, tables = '']) => tables.split(' ')));
    }
  })().catch(() => undefined);
  const until = async (table: string) => {
    for (let waited = 0; waited < 15_000 && !told.includes(table); waited += 50) await new Promise((resolve) => setTimeout(resolve, 50));
    assert.ok(told.includes(table), `told of ${told.join(', ') || 'nothing'}, not of ${table}`);
  };
  return { told, until, ended, leave: () => leaving.abort() };
}
const addClient = (address: string) =>
  fetch(`${address}/api/clients`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...kinds.clients.fresh, id: randomUUID(), name: 'Told Of' }),
  });

test('what one process writes, pages of another are told of; what was missed while the records were away, too', async () => {
  const line = await listening(app.address);
  // It listens once its connection stands: until then a change may pass it by.
  for (let tries = 0; tries < 40 && !line.told.includes('clients'); tries += 1) {
    assert.equal((await addClient(other.address)).status, 201);
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  await line.until('clients');
  assert.ok(!line.told.includes('ties'), 'and of nothing else');
  app.gate.shut();
  await new Promise((resolve) => setTimeout(resolve, 300));
  app.gate.open();
  await line.until('*');
  line.leave();
});

test('a line that is open keeps nobody from stopping', async () => {
  const line = await listening(app.address);
  const late = AbortSignal.timeout(30_000);
  await Promise.race([
    Promise.all([app.restart(), line.ended]),
    new Promise((_, reject) => {
      late.onabort = () => reject(new Error('it waited for the line'));
    }),
  ]);
});

test('what it is at is told on a port of its own, by kinds of requests and nothing that was put in', async () => {
  await fetch(`${other.address}/api/clients?find=hallowtide`);
  await fetch(`${other.address}/clients/${randomUUID()}`);
  const figures = await (await fetch(`http://127.0.0.1:${metricsPort}/`)).text();
  assert.match(figures, /ropewalk_nodejs_eventloop_lag_seconds /);
  const counted = figures
    .split('\n')
    .find((line) => line.includes('_count{') && line.includes('route="/api/clients"') && line.includes('method="GET"'));
  assert.match(counted ?? '', /status="200".* \d+$/);
  assert.doesNotMatch(figures, /hallowtide|find=/i);
  assert.deepEqual(
    ['/', '/api/clients/7b1c8f0e-2f5e-4f0a-9c61-3a5f3b8d2c11', '/clients/x', '/_astro/a.js', '/Pell%20Ambry', '/api/Pell%20Ambry'].map(
      routeOf,
    ),
    ['/', '/api/clients', '/clients', '/_astro', 'other', '/api'],
  );
});

test('what is logged of an error quotes nothing that somebody entered', async () => {
  const error = await app.sql`select ${'Pell Ambry'}::uuid`.catch((reason: unknown) => reason);
  assert.match(String(error), /Pell Ambry/);
  assert.doesNotMatch(JSON.stringify(withoutValues(error)), /Pell|Ambry/);
  const doubled = await app.sql`insert into studios select * from studios`.catch((reason: unknown) => reason);
  const told = JSON.stringify(withoutValues(doubled));
  assert.match(told, /23505/);
  assert.doesNotMatch(told, /\([0-9a-f]{8}-/);
});
