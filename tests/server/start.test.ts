import assert from 'node:assert/strict';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { test } from 'node:test';
import { root } from '../../scripts/machine/paths.ts';
import { freePort, loopback } from '../../scripts/machine/ports.ts';
import { openDatabase } from '../../src/server/database.ts';
import { emptyDatabase } from '../support/app.ts';

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
    for (let waited = 0; waited < 30_000 && !what.test(said); waited += 100) await new Promise((resolve) => setTimeout(resolve, 100));
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
