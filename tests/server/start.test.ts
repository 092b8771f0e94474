import assert from 'node:assert/strict';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { type AddressInfo, createServer as createTcpServer } from 'node:net';
import { join } from 'node:path';
import { test } from 'node:test';
import { root } from '../../scripts/machine/paths.ts';
import { freePort, isTaken, loopback } from '../../scripts/machine/ports.ts';
import { openDatabase } from '../../src/server/database.ts';
import { demoDatabase, emptyDatabase, startApp } from '../support/app.ts';

/** `npm start` with another environment. */
function start(env: NodeJS.ProcessEnv) {
  const child = spawn(process.execPath, [join(root, 'scripts', 'run.mjs'), 'start'], {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) {
    stream.on('data', (chunk: Buffer) => {
      said += chunk.toString();
    });
  }
  const ended = once(child, 'exit').then(([code]) => ({ code: code as number | null, said }));
  const saying = async (what: RegExp) => {
    for (let waited = 0; waited < 120_000 && !what.test(said); waited += 100) await new Promise((resolve) => setTimeout(resolve, 100));
    assert.match(said, what);
  };
  return { child, ended, saying };
}

test('it starts, a second start is harmless, and ending it keeps what was saved', async () => {
  const database = await emptyDatabase();
  const env = { DATABASE_URL: database.url, PORT: String(await freePort()) };
  try {
    const first = start(env);
    await first.saying(/Ropewalk is ready at/);
    const second = await start(env).ended;
    assert.equal(second.code, 0);
    assert.match(second.said, /already running at/);
    first.child.kill('SIGTERM');
    assert.equal((await first.ended).code, 0);

    const again = start(env);
    await again.saying(/Ropewalk is ready at/);
    again.child.kill('SIGTERM');
    assert.doesNotMatch((await again.ended).said, /Demo studio/);
    const sql = openDatabase(database.url, { max: 1 });
    const [studios] = await sql`select count(*)::int as count from studios`;
    await sql.end();
    assert.equal(studios?.['count'], 1);
  } finally {
    await database.drop();
  }
});

test('a port that another program holds is told in a sentence, and it ends with an error', async () => {
  const other = createServer((_, response) => response.end('someone else'));
  const port = await freePort();
  await new Promise<void>((resolve) => other.listen(port, loopback, resolve));
  try {
    const { code, said } = await start({ PORT: String(port), DATABASE_URL: 'postgres://unused' }).ended;
    assert.equal(code, 1);
    assert.match(said, new RegExp(`Port ${port} is in use by another program\\.`));
    assert.doesNotMatch(said, /\n\s+at /);
  } finally {
    other.close();
  }
});

test('a database that does not answer is told in a sentence, and it ends with an error', async () => {
  const { code, said } = await start({ PORT: String(await freePort()), DATABASE_URL: `postgres://nobody@${loopback}:9/none` }).ended;
  assert.equal(code, 1);
  assert.match(said, /The database does not answer: /);
  assert.doesNotMatch(said, /\n\s+at /);
});

test('a database that takes connections and never answers is told in a sentence, soon', async () => {
  const silent = createTcpServer(() => undefined);
  await new Promise<void>((resolve) => silent.listen(0, loopback, resolve));
  try {
    const { port } = silent.address() as AddressInfo;
    const { code, said } = await start({ PORT: String(await freePort()), DATABASE_URL: `postgres://nobody@${loopback}:${port}/none` })
      .ended;
    assert.equal(code, 1);
    assert.match(said, /The database does not answer: /);
  } finally {
    silent.close();
  }
});

test('records that a later version has used are left as they are', async () => {
  const database = await demoDatabase();
  const sql = openDatabase(database.url, { max: 1 });
  try {
    await sql`insert into schema_versions (version, name, md5, run_at) values (9000, 'later', 'x', now())`;
    const { code, said } = await start({ PORT: String(await freePort()), DATABASE_URL: database.url }).ended;
    assert.equal(code, 1);
    assert.match(said, /last used by a later Ropewalk than this one\. Start that one; nothing was changed/);
    assert.doesNotMatch(said, /\n\s+at /);
  } finally {
    await sql.end();
    await database.drop();
  }
});

test('a second start says so where the first one runs without its records', async () => {
  const app = await startApp();
  app.gate.shut();
  try {
    const { code, said } = await start({ PORT: new URL(app.address).port, DATABASE_URL: 'postgres://unused' }).ended;
    assert.equal(code, 1);
    assert.match(said, /already running at .*, but its records can’t be reached/);
  } finally {
    app.gate.open();
    await app.stop();
  }
});

test('the application ends when whoever started it is gone without a word', async () => {
  const database = await emptyDatabase();
  const port = await freePort();
  const first = start({ DATABASE_URL: database.url, PORT: String(port) });
  try {
    await first.saying(/Ropewalk is ready at/);
    const [watching] = readFileSync(`/proc/${first.child.pid}/task/${first.child.pid}/children`, 'utf8').trim().split(' ');
    process.kill(Number(watching), 'SIGKILL');
    await first.ended;
    for (let waited = 0; waited < 10_000 && (await isTaken(port)); waited += 100) await new Promise((resolve) => setTimeout(resolve, 100));
    assert.equal(await isTaken(port), false, 'it still holds its port');
  } finally {
    await database.drop();
  }
});
