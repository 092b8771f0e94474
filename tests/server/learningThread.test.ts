import assert from 'node:assert/strict';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { root } from '../../scripts/machine/paths.ts';
import { closeAll } from '../../src/server/closing.ts';
import { openDatabase, type Sql } from '../../src/server/database.ts';
import { learntHere } from '../../src/server/fitBook/book.ts';
import { theStudio } from '../../src/server/studios.ts';
import { demoDatabase, type OwnDatabase } from '../support/app.ts';

const name = 'ROPEWALK_BOOK_THREAD';
const inBuild = join(root, 'dist', 'server', 'book.mjs');
const dying = join(root, 'tests', 'support', 'dyingThread.mjs');
let database: OwnDatabase;
let sql: Sql;
before(async () => {
  database = await demoDatabase();
  sql = openDatabase(database.url, { max: 2 });
});
after(async () => {
  delete process.env[name];
  await closeAll();
  await sql.end();
  await database.drop();
});

test('a thread that dies while it learns leaves nobody waiting; the next who asks is answered by a new one, the same as without any', async () => {
  const { id } = await theStudio(sql);
  const ties = (await sql<{ id: string }[]>`select id from ties`).map((row) => row.id);
  const ask = () => learntHere(sql, id, { client: null, hands: [], ties });
  process.env[name] = dying;
  const both = await Promise.allSettled([ask(), ask()]);
  assert.deepEqual(
    both.map((each) => each.status === 'rejected' && /thread that learns has ended/.test(String(each.reason))),
    [true, true],
  );
  process.env[name] = inBuild;
  const inThread = await ask();
  assert.ok(Object.keys(inThread.counts).length > 0);
  assert.deepEqual(await ask(), inThread);
  await closeAll();
  delete process.env[name];
  // A book that is learnt anew, here.
  await sql`update book_versions set version = version + 1`;
  assert.deepEqual(JSON.parse(JSON.stringify(await ask())), JSON.parse(JSON.stringify(inThread)));
});
