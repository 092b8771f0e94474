import assert from 'node:assert/strict';
import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, request as plainRequest } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { brotliCompressSync, brotliDecompressSync, gunzipSync } from 'node:zlib';
import { root } from '../../scripts/machine/paths.ts';
import { loopback } from '../../scripts/machine/ports.ts';
import { shellFor } from '../../src/shell/app.ts';
import { type App, startApp } from '../support/app.ts';
import { wholePage } from '../support/requests.ts';

let app: App;
before(async () => {
  app = await startApp();
});
after(() => app.stop());

interface Answer {
  readonly status: number;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
  readonly body: Buffer;
}

/** Asks with headers that a browser’s own fetch would not let be set. */
function ask(address: string, headers: Record<string, string> = {}, method = 'GET', body = ''): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const sent = plainRequest(
      address,
      { method, headers: { ...headers, 'content-length': String(Buffer.byteLength(body)) } },
      (response) => {
        const chunks: Buffer[] = [];
        response.on('data', (chunk: Buffer) => chunks.push(chunk));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, headers: response.headers, body: Buffer.concat(chunks) }));
      },
    );
    sent.on('error', reject);
    sent.end(body);
  });
}
const codeOf = ({ body }: Answer) => (JSON.parse(body.toString()) as { error: { code: string } }).error.code;

test('pages come with their content, and with a policy that lets no script run but their own', async () => {
  const { status, headers } = await ask(`${app.address}/clients`);
  assert.equal(status, 200);
  const policy = String(headers['content-security-policy']);
  const scripts = /script-src ([^;]*);/.exec(policy)?.[1] ?? '';
  assert.match(scripts, /^'self'( 'sha256-[^']+')+$/);
  assert.doesNotMatch(policy, /unsafe-eval|script-src[^;]*unsafe-inline/);
  for (const directive of ["default-src 'self'", "object-src 'none'", "base-uri 'none'", "frame-ancestors 'none'"])
    assert.ok(policy.includes(directive), directive);
  assert.equal(headers['x-content-type-options'], 'nosniff');
  assert.equal(headers['cache-control'], 'private, no-cache');
  const html = await (await wholePage(`${app.address}/clients`)).text();
  for (const name of ['Pell Ambry', 'Osric Hallowtide']) assert.ok(html.includes(name), name);
});

test('workers may run what was compiled ahead, which no page may', async () => {
  const folder = join(root, 'dist', 'client', '_astro');
  const worker = readdirSync(folder).find((name) => /^cloth\.worker.*\.js$/.test(name));
  const { status, headers } = await ask(`${app.address}/_astro/${worker}`);
  assert.equal(status, 200);
  assert.match(String(headers['content-security-policy']), /script-src 'self' 'wasm-unsafe-eval'(;|$)/);
});

test('every view stands there before a script has run', async () => {
  const { rows } = (await (await fetch(`${app.address}/api/clients?find=hallowtide`)).json()) as { rows: { id: string }[] };
  const shows: readonly (readonly [path: string, words: RegExp])[] = [
    ['/', /tip below the collar button|Won’t work/],
    ['/?stage=set', /below the collar button|Won’t work/],
    ['/wardrobe', /Bottle green, standard length/],
    ['/wardrobe?sort=shirts&by=collarSpreadMm&down=true', /White, cutaway/],
    ['/clients?find=hallowtide', /Osric Hallowtide/],
    [`/clients/${rows[0]?.id}`, /value="Osric Hallowtide"/],
    ['/people', /Blade on the wearer/],
    ['/fittings', /Fittings and what became of them/],
    ['/knots/4.1', /How to tie it/],
    ['/knots', /suits the collar/],
  ];
  for (const [path, words] of shows) assert.match(await (await wholePage(app.address + path)).text(), words, path);
  const found = await (await wholePage(`${app.address}/clients?find=hallowtide`)).text();
  assert.ok(!found.includes('Pell Ambry'), 'the address finds without scripts too');
});

test('a page comes without its records where they are away, and soon', async () => {
  app.gate.shut();
  try {
    const { status, body } = await ask(`${app.address}/clients`);
    assert.equal(status, 200);
    assert.ok(!body.toString().includes('No clients yet'), 'an outage is no empty list');
  } finally {
    app.gate.open();
  }
});

test('answers are compressed as the asker reads them', async () => {
  const plain = await ask(`${app.address}/api/knots`);
  const brotli = await ask(`${app.address}/api/knots`, { 'accept-encoding': 'br' });
  const gzip = await ask(`${app.address}/api/knots`, { 'accept-encoding': 'gzip' });
  assert.deepEqual([brotli.headers['content-encoding'], gzip.headers['content-encoding']], ['br', 'gzip']);
  assert.deepEqual(brotliDecompressSync(brotli.body), plain.body);
  assert.deepEqual(gunzipSync(gzip.body), plain.body);
  assert.ok(brotli.body.byteLength * 3 < plain.body.byteLength);
});

test('scripts are sent as they were compressed when they were built, and kept for good', async () => {
  const html = (await ask(`${app.address}/clients`)).body.toString();
  const script = /\/_astro\/ClientsPage\.[\w-]+\.js/.exec(html)?.[0] ?? '';
  const { headers, body } = await ask(app.address + script, { 'accept-encoding': 'br, gzip' });
  assert.equal(headers['content-encoding'], 'br');
  assert.match(String(headers['cache-control']), /immutable/);
  assert.ok(brotliDecompressSync(body).includes('export'));
});

test('it answers to its own names only', async () => {
  for (const host of ['studio.example', 'studio.example:4310', '127.0.0.1.example']) {
    const answer = await ask(`${app.address}/api/clients`, { host });
    assert.deepEqual([answer.status, codeOf(answer)], [421, 'wrong-host'], host);
  }
  for (const host of ['127.0.0.1', 'localhost', 'localhost:8080'])
    assert.equal((await ask(`${app.address}/api/health`, { host })).status, 200, host);
});

test('a page of another origin changes nothing, and reads nothing it is not let read', async () => {
  const { host } = new URL(app.address);
  const send = (headers: Record<string, string>) =>
    ask(
      `${app.address}/api/import/clients.csv?apply=true`,
      { 'content-type': 'application/octet-stream', host, ...headers },
      'POST',
      'name\nIntruder\n',
    );
  for (const headers of [{ origin: 'http://elsewhere.example' }, { origin: 'null' }, { 'sec-fetch-site': 'cross-site' }] as Record<
    string,
    string
  >[]) {
    const answer = await send(headers);
    assert.deepEqual([answer.status, codeOf(answer)], [403, 'wrong-origin'], JSON.stringify(headers));
  }
  const typed = await ask(
    `${app.address}/api/import/clients.csv?apply=true`,
    { 'content-type': 'text/csv', host },
    'POST',
    'name\nIntruder\n',
  );
  assert.equal(typed.status, 415, 'nor can a form send the type that is taken');
  assert.equal(((await (await fetch(`${app.address}/api/clients?find=intruder`)).json()) as { total: number }).total, 0);
  assert.equal((await send({ origin: app.address })).status, 200, 'its own pages can');
  assert.equal((await ask(`${app.address}/api/clients`)).headers['access-control-allow-origin'], undefined);
});

test('what is too much is refused in the one error shape, and what has no page gets the page for that', async () => {
  const { port } = new URL(app.address);
  const large = await ask(`http://127.0.0.1:${port}/api/plan`, { 'content-type': 'application/json' }, 'POST', `"${'x'.repeat(300_000)}"`);
  assert.deepEqual([large.status, codeOf(large)], [413, 'too-large']);
  const unsaid = await fetch(`${app.address}/api/plan`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: new Blob(['"', 'x'.repeat(300_000), '"']).stream(),
    duplex: 'half',
  } as RequestInit);
  assert.equal(unsaid.status, 413, 'nor is what does not say how large it is read through');
  const missing = await ask(`${app.address}/nowhere/at/all`);
  assert.equal(missing.status, 404);
  assert.match(missing.body.toString(), /Page not found/);
});

/** The server in front of something small. */
async function inFrontOf(handler: Parameters<typeof shellFor>[0]['handler'], mostAMinute = 1000) {
  const filesIn = mkdtempSync(join(tmpdir(), 'ropewalk-files-'));
  mkdirSync(join(filesIn, '_astro'));
  const text = 'a file that is the same for good. '.repeat(100);
  writeFileSync(join(filesIn, '_astro', 'a.js'), text);
  writeFileSync(join(filesIn, '_astro', 'a.js.br'), brotliCompressSync(text));
  const server = createServer(shellFor({ handler, filesIn, hosts: [loopback], mostAMinute }));
  await new Promise<void>((resolve) => server.listen(0, loopback, resolve));
  const { port } = server.address() as AddressInfo;
  return {
    address: `http://${loopback}:${port}`,
    server,
    close: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      rmSync(filesIn, { recursive: true });
    },
  };
}

test('who asks too often is told to wait; files don’t count', async () => {
  const { address, close } = await inFrontOf((_, response) => void response.end('ok'), 3);
  try {
    for (let i = 0; i < 10; i += 1) assert.equal((await ask(`${address}/_astro/a.js`)).status, 200);
    for (let i = 0; i < 3; i += 1) assert.equal((await ask(`${address}/api/x`)).status, 200);
    const answer = await ask(`${address}/api/x`);
    assert.deepEqual([answer.status, codeOf(answer)], [429, 'too-many']);
  } finally {
    await close();
  }
});

test('stopping answers what is being asked, and ends', async () => {
  const slow = fetch(`${app.address}/api/export/studio.json`);
  // The request has been taken once another, sent after it, is answered.
  await fetch(`${app.address}/api/health`);
  await app.restart();
  assert.equal((await slow).status, 200);
  assert.equal((await fetch(`${app.address}/api/health`)).status, 200);
});
