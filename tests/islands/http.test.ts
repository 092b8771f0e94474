import assert from 'node:assert/strict';
import { afterEach, mock, test } from 'node:test';
import { ask, Outage, Refusal } from '../../src/islands/wire/http.ts';

afterEach(() => mock.restoreAll());

function answer(status: number, body: string) {
  return mock.method(globalThis, 'fetch', async () => new Response(body, { status }));
}
const problem = (code: string) => JSON.stringify({ error: { code, message: 'No.', fields: [{ path: 'knot', message: 'Not this one.' }] } });

test('an answer comes back as it is', async () => {
  answer(200, '{"a":1}');
  assert.deepEqual(await ask('/x'), { a: 1 });
});

test('what is sent goes as JSON', async () => {
  const fetching = answer(201, '{}');
  await ask('/x', { method: 'POST', body: { b: 2 } });
  const [path, init] = fetching.mock.calls[0]!.arguments as unknown as [string, RequestInit];
  assert.equal(path, '/x');
  assert.equal(init.method, 'POST');
  assert.equal(init.body, '{"b":2}');
  assert.equal(new Headers(init.headers).get('content-type'), 'application/json');
});

test('a refusal carries its sentence, its status and its faults', async () => {
  answer(400, problem('invalid'));
  await assert.rejects(ask('/x'), (error: unknown) => {
    assert.ok(error instanceof Refusal);
    assert.deepEqual([error.status, error.message, error.faults], [400, 'No.', [{ path: 'knot', message: 'Not this one.' }]]);
    return true;
  });
});

test('no server, no records and no proper answer are outages, to be waited out', async () => {
  mock.method(globalThis, 'fetch', async () => {
    throw new TypeError('connection refused');
  });
  await assert.rejects(ask('/x'), Outage);
  mock.restoreAll();
  answer(503, problem('records-unreachable'));
  await assert.rejects(ask('/x'), Outage);
  mock.restoreAll();
  answer(502, '<html>Bad gateway</html>');
  await assert.rejects(ask('/x'), Outage);
});

test('a server’s own fault is a refusal, not waited out', async () => {
  answer(500, problem('internal'));
  await assert.rejects(ask('/x'), Refusal);
});
