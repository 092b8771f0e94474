import assert from 'node:assert/strict';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { root } from '../../scripts/machine/paths.ts';
import { startLastingCluster } from '../../scripts/machine/postgres/lasting.ts';
import { createDatabase, prepareStudio } from '../../scripts/machine/studio.ts';
import { openDatabase } from '../../src/server/database.ts';

let above: string;
before(() => {
  // A path with a space, as any is that somebody chose.
  const outer = mkdtempSync(join(tmpdir(), 'ropewalk-lasting-'));
  chmodSync(outer, 0o755);
  above = join(outer, 'the studio');
});
after(() => rmSync(join(above, '..'), { recursive: true, force: true }));

/** Another process that starts the same cluster and holds it until it is told to leave. */
function another(folder: string) {
  const child = spawn(
    process.execPath,
    [
      '--import',
      'tsx',
      '--input-type=module',
      '-e',
      `import { startLastingCluster } from './scripts/machine/postgres/lasting.ts';
       const cluster = await startLastingCluster(${JSON.stringify(folder)});
       process.on('message', async () => { await cluster.stop(); process.disconnect(); });
       process.send('started');`,
    ],
    { cwd: root, stdio: ['ignore', 'ignore', 'inherit', 'ipc'] },
  );
  const ended = once(child, 'exit');
  return {
    started: Promise.race([once(child, 'message'), ended.then(() => assert.fail('it ended instead'))]),
    leave: async () => {
      child.send('leave');
      await ended;
    },
    kill: async () => {
      child.kill('SIGKILL');
      await ended;
    },
  };
}

test('a first set-up that was killed in the middle, at any moment, is in nobody’s way', async () => {
  const folder = join(above, 'killed');
  for (const afterMs of [900, 1600, 2300]) {
    const { started, kill } = another(folder);
    started.catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, afterMs));
    await kill();
  }
  // A set-up as it was left by an earlier version: half of a folder in the very place.
  const half = join(above, 'half');
  mkdirSync(join(half, 'data'), { recursive: true });
  writeFileSync(join(half, 'data', 'PG_VERSION'), '15\n');
  for (const each of [folder, half]) {
    const cluster = await startLastingCluster(each);
    const sql = openDatabase(cluster.of('postgres').owner, { max: 1 });
    assert.deepEqual([...(await sql`show data_checksums`)], [{ dataChecksums: 'on' }]);
    await sql.end();
    await cluster.stop();
  }
  assert.ok(
    readdirSync(half).some((name) => name.startsWith('incomplete-')),
    'what was there is not thrown away',
  );
});

test('records that once were there and can’t be opened are told, and no empty studio takes their place', async () => {
  const folder = join(above, 'damaged');
  mkdirSync(join(folder, 'data'), { recursive: true });
  writeFileSync(join(folder, 'data', 'postmaster.opts'), '');
  await assert.rejects(startLastingCluster(folder), /are damaged and can’t be opened.*restore a backup/);
  assert.deepEqual(readdirSync(join(folder, 'data')), ['postmaster.opts']);
});

test('several start it at once and share it; the last to leave stops it, and one that was killed does not count', async () => {
  const folder = join(above, 'shared');
  const [first, second] = [another(folder), another(folder)];
  await Promise.all([first.started, second.started]);
  const cluster = await startLastingCluster(folder);
  await first.leave();
  assert.ok(await cluster.isRunning(), 'two are still there');
  await cluster.stop();
  assert.ok(await cluster.isRunning(), 'one is still there');
  await second.kill();
  const found = await startLastingCluster(folder);
  await found.stop();
  assert.ok(!(await found.isRunning()));
  assert.ok(existsSync(join(folder, 'data')));
});

test('the application’s role reads and writes records, and can’t change the schema, its versions or read files', async () => {
  const cluster = await startLastingCluster(join(above, 'roles'));
  try {
    await createDatabase(cluster.of('postgres').owner, 'roles');
    await prepareStudio(cluster.of('roles'));
    const sql = openDatabase(cluster.of('roles').app, { max: 1 });
    try {
      const [role] =
        await sql`select rolsuper or rolcreatedb or rolcreaterole or rolreplication as might from pg_roles where rolname = current_user`;
      assert.deepEqual(role, { might: false });
      assert.ok((await sql`update ties set note = 'seen' returning id`).length > 0);
      for (const forbidden of [
        'create table mine (id int)',
        'drop table ties',
        'alter table ties add column mine int',
        'truncate ties cascade',
        'delete from schema_versions',
        `copy ties to '/tmp/ties'`,
        `select pg_read_file('/etc/passwd')`,
        'create role mine superuser',
      ]) {
        await assert.rejects(sql.unsafe(forbidden), /permission denied|must be owner|must be superuser/, forbidden);
      }
    } finally {
      await sql.end();
    }
  } finally {
    await cluster.stop();
  }
});
