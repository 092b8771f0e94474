import assert from 'node:assert/strict';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { subHours } from 'date-fns';
import { differing, fingerprint } from '../../scripts/machine/backup/fingerprint.ts';
import { backupName, isDue, superfluous } from '../../scripts/machine/backup/keep.ts';
import { makeBackup, prune } from '../../scripts/machine/backup/make.ts';
import { backUpIfDue } from '../../scripts/machine/backup/nightly.ts';
import { restoreBackup } from '../../scripts/machine/backup/restore.ts';
import { createDatabase, dropDatabase } from '../../scripts/machine/studio.ts';
import { backupsTold } from '../../src/server/backups.ts';
import { openDatabase } from '../../src/server/database.ts';
import { demoDatabase, emptyDatabase, type OwnDatabase } from '../support/app.ts';

let database: OwnDatabase;
let folder: string;
const databases = async () => {
  const sql = openDatabase(database.url, { max: 1 });
  const rows = await sql<{ datname: string }[]>`select datname from pg_database`;
  await sql.end();
  return rows.map(({ datname }) => datname);
};
const on = async <T>(url: string, run: (sql: ReturnType<typeof openDatabase>) => Promise<T>): Promise<T> => {
  const sql = openDatabase(url, { max: 1 });
  try {
    return await run(sql);
  } finally {
    await sql.end();
  }
};
const ownName = () => new URL(database.url).pathname.slice(1);
before(async () => {
  database = await demoDatabase();
  folder = mkdtempSync(join(tmpdir(), 'ropewalk-backups-'));
});
after(async () => {
  await database.drop();
  rmSync(folder, { recursive: true });
});

test('a backup is checked by restoring it, and restored elsewhere it is the same row for row', async () => {
  const file = join(folder, 'whole.dump');
  const { rows, bytes } = await makeBackup(database.url, file);
  assert.equal(statSync(file).size, bytes);
  const elsewhere = await emptyDatabase();
  try {
    const restored = await restoreBackup(file, elsewhere.addresses, () => undefined);
    assert.deepEqual([restored.rows, restored.before], [rows, undefined]);
    const [here, there] = [await on(database.url, fingerprint), await on(elsewhere.url, fingerprint)];
    assert.ok(here.size > 10 && here.get('clients')?.startsWith('9 rows'), [...here].join('; '));
    // Either notes of itself that this backup was made, from where it stands.
    assert.deepEqual(differing(here, there), ['backups']);
    const asApplication = await on(elsewhere.addresses.app, (sql) => sql`update clients set note = 'moved' returning id`);
    assert.equal(asApplication.length, 9, 'the application is let at what was restored');
  } finally {
    await elsewhere.drop();
  }
  assert.ok(!(await databases()).some((name) => name.includes('_check_') && name.startsWith(ownName())), 'nothing is left of the check');
});

test('what was there before a restore is kept aside, and it waits until nobody is connected', async () => {
  const other = await demoDatabase();
  const name = new URL(other.url).pathname.slice(1);
  try {
    const file = join(folder, 'before.dump');
    await makeBackup(other.url, file);
    await on(other.url, (sql) => sql`update clients set note = 'written after the backup'`);
    await on(other.url, async (sql) => {
      await sql`select 1`;
      await assert.rejects(
        restoreBackup(file, other.addresses, () => undefined),
        /using these records\. End it first/,
      );
    });
    const { before: aside } = await restoreBackup(file, other.addresses, () => undefined);
    const changed = (url: string) => on(url, (sql) => sql`select 1 from clients where note = 'written after the backup'`);
    assert.equal((await changed(other.url)).length, 0);
    assert.ok(aside);
    assert.equal((await changed(Object.assign(new URL(other.url), { pathname: `/${aside}` }).href)).length, 9);
    await dropDatabase(database.url, aside);
  } finally {
    await other.drop();
  }
  assert.ok(!(await databases()).some((each) => each.startsWith(`${name}_`)), 'nothing is left behind');
});

test('a file that is no backup, is cut off or was made by a later version changes nothing', async () => {
  const whole = join(folder, 'later.dump');
  const later = await demoDatabase();
  try {
    await on(later.url, (sql) => sql`insert into schema_versions (version, name, md5, run_at) values (9000, 'later', 'x', now())`);
    await makeBackup(later.url, whole);
    const cut = join(folder, 'cut.dump');
    writeFileSync(cut, readFileSync(whole).subarray(0, 60_000));
    const none = join(folder, 'none.dump');
    writeFileSync(none, 'a letter');
    const was = await on(later.url, fingerprint);
    for (const [file, told] of [
      [cut, /can’t be read as a backup/],
      [none, /can’t be read as a backup/],
      [join(folder, 'missing.dump'), /There is no file/],
      [whole, /last used by a later Ropewalk/],
    ] as const) {
      await assert.rejects(
        restoreBackup(file, later.addresses, () => undefined),
        told,
      );
    }
    assert.deepEqual(differing(was, await on(later.url, fingerprint)), []);
  } finally {
    await later.drop();
  }
});

test('records that are written to meanwhile are backed up as of one moment', async () => {
  let isOver = false;
  const sql = openDatabase(database.url, { max: 1 });
  const writing = (async () => {
    while (!isOver) await sql`update clients set note = note || 'x'`;
  })();
  try {
    for (let i = 0; i < 2; i += 1) await makeBackup(database.url, join(folder, 'busy.dump'));
  } finally {
    isOver = true;
    await writing;
    await sql.end();
  }
});

test('one that fails leaves no file, and is on record; two at once are one', async () => {
  const blocked = join(folder, 'a-file');
  writeFileSync(blocked, '');
  await assert.rejects(
    makeBackup(database.url, join(blocked, 'x.dump')),
    /The backup failed: .* The records themselves were not touched\./,
  );
  const [failed] = await on(database.url, (sql) => sql`select failure from backups where failure is not null`);
  assert.match(String(failed?.['failure']), /its folder can’t be written to/);

  const both = await Promise.allSettled([1, 2].map((n) => makeBackup(database.url, join(folder, `both-${n}.dump`))));
  assert.deepEqual(both.map(({ status }) => status).sort(), ['fulfilled', 'rejected']);
  assert.ok(!readdirSync(folder).some((name) => name.endsWith('.part')));
});

test('what a backup that was cut off left behind goes with the next one', async () => {
  const left = `${ownName()}_check_0123456789ab`;
  await createDatabase(database.url, left);
  await makeBackup(database.url, join(folder, 'after.dump'));
  assert.ok(!(await databases()).includes(left));
  const half = join(folder, 'pruned', 'ropewalk-2026-11-01-030000.dump.part');
  mkdirSync(join(folder, 'pruned'));
  writeFileSync(half, 'half');
  prune(join(folder, 'pruned'));
  assert.ok(!existsSync(half));
});

test('every night one, and made up for where the machine was off', async () => {
  const at = (text: string) => new Date(`2026-11-${text}:00`);
  assert.equal(isDue(undefined, at('28T12:00')), true);
  assert.equal(isDue(at('28T03:10'), at('28T12:00')), false);
  assert.equal(isDue(at('28T03:10'), at('29T02:50')), false);
  assert.equal(isDue(at('28T03:10'), at('29T03:01')), true);
  assert.equal(isDue(at('27T12:00'), at('28T09:00')), true, 'it was off in the night');

  const nightly = await demoDatabase();
  const into = join(folder, 'nightly');
  try {
    const said: string[] = [];
    const say = (line: string) => said.push(line);
    await backUpIfDue(nightly.url, into, say);
    await backUpIfDue(nightly.url, into, say);
    assert.equal(readdirSync(into).length, 1);
    assert.match(said.join('\n'), /^Backup made and checked: .*\.dump \(\d+ kB\)$/);
    // The clock ran years ahead for a while and was put right: tonight’s is due all the same, and what is told is not from then.
    await on(nightly.url, (sql) => sql`update backups set made_at = made_at + interval '4 years'`);
    rmSync(join(into, readdirSync(into)[0] ?? ''));
    await backUpIfDue(nightly.url, into, say);
    assert.equal(readdirSync(into).length, 1, 'no other for four years');
    const told = await on(nightly.url, backupsTold);
    assert.ok(told.good && new Date(told.good.madeAt) <= new Date(), told.good?.madeAt);
  } finally {
    await nightly.drop();
  }
});

test('two weeks of days and a year of months are kept, and no file that is not ours is removed', () => {
  const names = Array.from({ length: 800 }, (_, i) => backupName(subHours(new Date(2026, 10, 28, 3, 5), 12 * i)));
  const others = ['notes.txt', 'ropewalk-old.dump'];
  const gone = new Set(superfluous([...names, ...others]));
  const kept = names.filter((name) => !gone.has(name));
  assert.deepEqual(
    kept.slice(0, 14),
    [...new Map(names.toReversed().map((name) => [name.slice(0, 19), name])).values()].reverse().slice(0, 14),
  );
  assert.equal(kept.length, 14 + 11, 'the month under way is among the days');
  assert.ok(others.every((name) => !gone.has(name)));
});

test('a database can be made twice at once', async () => {
  const name = 'made_twice';
  await Promise.all([createDatabase(database.url, name), createDatabase(database.url, name)]);
  assert.ok((await databases()).includes(name));
  await dropDatabase(database.url, name);
});
