import assert from 'node:assert/strict';
import { once } from 'node:events';
import { createServer, type IncomingMessage, request } from 'node:http';
import { connect } from 'node:net';
import { after, before, test } from 'node:test';
import { recordsOut } from '../../src/contract/offline.ts';
import { shellFor } from '../../src/shell/app.ts';
import { type App, startApp } from '../support/app.ts';
import { wholePage } from '../support/requests.ts';

let app: App;
before(async () => {
  app = await startApp();
});
after(() => app.stop());

test('without its records it is alive, so nobody need start it again, and not healthy, so requests go elsewhere', async () => {
  const status = async (what: string) => (await fetch(`${app.address}/api/${what}`)).status;
  assert.deepEqual([await status('alive'), await status('health')], [200, 200]);
  app.gate.shut();
  try {
    assert.deepEqual([await status('alive'), await status('health')], [200, 503]);
  } finally {
    app.gate.open();
  }
});

test('a page that comes without its records says so, for a device that keeps pages; one with them does not', async () => {
  const says = ({ headers }: Response) => headers.get(recordsOut);
  const paths = ['/', '/clients', '/fittings'];
  for (const path of paths) assert.equal(says(await wholePage(app.address + path)), null, path);
  app.gate.shut();
  try {
    for (const path of paths) assert.equal(says(await fetch(app.address + path)), 'true', path);
  } finally {
    app.gate.open();
  }
});

test('while it is stopping it says so on the lines that are still open', async () => {
  const closing = new AbortController();
  const server = createServer(
    shellFor({
      handler: (_request, response) => void response.json({ app: 'ropewalk', status: 'ok', records: 'ok' }),
      filesIn: import.meta.dirname,
      hosts: ['127.0.0.1'],
      mostAMinute: 100,
      closing: closing.signal,
    }),
  );
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const bound = server.address();
  const address = `http://127.0.0.1:${typeof bound === 'object' ? bound?.port : 0}`;
  const health = async () => {
    const answer = await fetch(`${address}/api/health`);
    return [answer.status, ((await answer.json()) as { status: string }).status];
  };
  try {
    assert.deepEqual(await health(), [200, 'ok']);
    closing.abort();
    assert.deepEqual(await health(), [503, 'stopping']);
    assert.equal((await fetch(`${address}/api/alive`)).status, 200);
  } finally {
    server.closeAllConnections();
    server.close();
  }
});

test('a line that was opened and never used does not hold up its end; a request in flight is answered first', async () => {
  const { port, hostname } = new URL(app.address);
  const unused = connect(Number(port), hostname);
  await once(unused, 'connect');
  // Answered only once all of it is there: it is in flight while the server stops.
  const slow = request(`${app.address}/api/plan`, { method: 'POST', headers: { 'content-type': 'application/json' } });
  const answered = once(slow, 'response') as Promise<[IncomingMessage]>;
  slow.write('{"client":');
  await new Promise((resolve) => setTimeout(resolve, 200));
  const ended = once(unused, 'close');
  const down = app.goDown();
  await ended;
  slow.end('{}}');
  const [answer] = await answered;
  assert.ok(answer.statusCode === 200 || answer.statusCode === 400, `${answer.statusCode}`);
  answer.resume();
  await down;
  await app.comeUp();
});
