import assert from 'node:assert/strict';
import { test } from 'node:test';
import { isConnectionLoss } from '../../src/server/database.ts';
import { bodyOf, type Content } from '../../src/server/http/body.ts';
import { checkManner, checkMaxMoves } from '../../src/server/http/knotQuery.ts';
import { invalid, notFound, Problem } from '../../src/server/http/problem.ts';
import { type Spool, spooled } from '../../src/server/http/spool.ts';

const post = (body: BodyInit, headers: Record<string, string> = {}) =>
  new Request('http://localhost/x', {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body,
    duplex: 'half',
  } as RequestInit);
const read = (request: Request, content: Content = 'json') => bodyOf(request, { content });
const refused = (request: Request, status: number, code: string, content: Content = 'json') =>
  assert.rejects(read(request, content), (error: unknown) => error instanceof Problem && error.status === status && error.code === code);

test('JSON is read, whatever it is called', async () => {
  assert.deepEqual(await read(post('{"a":[1]}')), { a: [1] });
  assert.deepEqual(await read(post('7', { 'content-type': 'application/problem+json; charset=utf-8' })), 7);
});

test('what is no JSON is refused', async () => {
  await refused(post('a=1', { 'content-type': 'text/plain' }), 415, 'not-json');
  await refused(post('  '), 400, 'empty-body');
  await refused(post('{"a":'), 400, 'bad-json');
});

test('an endpoint takes the one type it takes, which a foreign page can’t send unasked', async () => {
  for (const type of ['text/plain', 'text/csv', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x'])
    await refused(post('a,b', { 'content-type': type }), 415, 'not-a-file', 'file');
  const file = (await read(post('a,b', { 'content-type': 'application/octet-stream' }), 'file')) as Spool;
  assert.equal(await file.text(100), 'a,b');
  await file.close();
  await refused(post('{}', { 'content-type': 'application/octet-stream' }), 415, 'not-json');
});

test('a body too large is refused also when it does not say how large it is', async () => {
  let sent = 0;
  const endless = new ReadableStream<Uint8Array>({
    pull(controller) {
      sent += 1;
      controller.enqueue(new Uint8Array(64 * 1024));
    },
  });
  await refused(post(endless), 413, 'too-large');
  assert.ok(sent < 20, 'it is not read through');
});

async function* inChunks(bytes: Uint8Array, size: number): AsyncGenerator<Uint8Array> {
  for (let at = 0; at < bytes.length; at += size) yield bytes.subarray(at, at + size);
}

test('a file is put down as it comes, and read whole or by its lines, wherever its characters were cut', async () => {
  const text = 'erste Zeile\nzweite „Zeile“ 🪢\r\n\nletzte';
  for (const size of [1, 3, 1000]) {
    const file = await spooled(inChunks(Buffer.from(text), size));
    assert.deepEqual([file.bytes, await file.text(1000)], [Buffer.byteLength(text), text]);
    const lines: string[] = [];
    for await (const line of file.lines()) lines.push(line);
    assert.deepEqual(lines, text.split('\n'));
    assert.equal(await file.beginning(), text);
    await assert.rejects(file.text(10), (error: unknown) => error instanceof Problem && error.status === 413);
    await file.close();
  }
  const other = await spooled(inChunks(Uint8Array.of(0x41, 0xe4, 0x42), 2));
  await assert.rejects(other.text(100), (error: unknown) => error instanceof Problem && error.code === 'not-utf8');
  await other.close();
  const empty = await spooled(inChunks(new Uint8Array(), 1));
  assert.equal(await empty.text(1), '');
  await empty.close();
  await assert.rejects(
    spooled(
      (async function* () {
        yield Uint8Array.of(1);
        throw new Error('cut off');
      })(),
    ),
    /cut off/,
  );
});

test('faults make one sentence, and the body every refusal has', () => {
  const one = invalid([{ path: 'a', message: 'A is wrong.' }]);
  assert.equal(one.message, '1 error: A is wrong.');
  assert.deepEqual(one.body, { error: { code: 'invalid', message: one.message, fields: [{ path: 'a', message: 'A is wrong.' }] } });
  assert.match(invalid([...one.fields, { path: 'b', message: 'B too.' }]).message, /^2 errors: A is wrong\. B too\.$/);
  assert.deepEqual([notFound('tie').status, notFound('tie').message], [404, 'This tie was not found.']);
});

test('a lost connection is told from a wrong statement', () => {
  const coded = (code: string) => Object.assign(new Error('x'), { code });
  for (const code of ['ECONNREFUSED', 'CONNECT_TIMEOUT', '57P01', '53300']) assert.ok(isConnectionLoss(coded(code)), code);
  for (const code of ['23505', '42601', '22P02']) assert.ok(!isConnectionLoss(coded(code)), code);
  assert.ok(isConnectionLoss(new AggregateError([coded('ECONNREFUSED')])));
  assert.ok(!isConnectionLoss('ECONNREFUSED'));
});

test('the number of moves in a query', () => {
  assert.equal(checkMaxMoves(new URLSearchParams('')), 9);
  assert.equal(checkMaxMoves(new URLSearchParams('maxMoves=12')), 12);
  assert.equal(checkManner(new URLSearchParams()), 'classic');
  assert.equal(checkManner(new URLSearchParams('manner=open')), 'open');
  assert.throws(() => checkManner(new URLSearchParams('manner=bow')));
  for (const query of ['maxMoves=2', 'maxMoves=16', 'maxMoves=', 'maxMoves=1e9', 'maxMoves=x']) {
    assert.throws(() => checkMaxMoves(new URLSearchParams(query)), Problem, query);
  }
});
