import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { killAtRandom } from '../../scripts/faults/killing.ts';
import { freePort } from '../../scripts/machine/ports.ts';
import { type CrashingCluster, startCrashingCluster } from '../../scripts/machine/postgres/passing.ts';
import { createDatabase, prepareStudio } from '../../scripts/machine/studio.ts';
import { supervise } from '../../scripts/machine/supervise.ts';
import { startWebServer, type WebServer } from '../../scripts/machine/webServer.ts';

let cluster: CrashingCluster;
let url: string;
before(async () => {
  cluster = await startCrashingCluster();
  await createDatabase(cluster.of('postgres').owner, 'killed');
  url = cluster.of('killed').app;
  await prepareStudio(cluster.of('killed'));
});
after(() => cluster.stop());

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

test('what ends by itself is started again, application and database', async () => {
  const said: string[] = [];
  let end: () => void = () => undefined;
  const ended = new Promise<void>((resolve) => {
    end = resolve;
  });
  const own = await freePort();
  let latest: WebServer | undefined;
  const start = async () => {
    latest = await startWebServer(own, url, 'silent');
    return latest;
  };
  const running = supervise({ start, cluster, say: (line) => said.push(line), ended, lookEveryMs: 100 });
  const isUp = async () => {
    for (let tries = 0; tries < 300; tries++) {
      const answer = await fetch(`http://127.0.0.1:${own}/api/health`).catch(() => undefined);
      if (answer?.status === 200) return;
      await pause(100);
    }
    throw new Error('It did not come back.');
  };
  while (!latest) await pause(20);
  await (latest as WebServer).kill();
  await isUp();
  await cluster.crash();
  await isUp();
  end();
  await running;
  assert.deepEqual(said, [
    'The application has ended unexpectedly; it is started again.',
    'The database had stopped by itself; it was started again.',
  ]);

  assert.equal(await fetch(`http://127.0.0.1:${own}/api/alive`).catch(() => 'gone'), 'gone');
});

test('a database that can’t be started yet is tried again, told once; meanwhile the application is left running', async () => {
  const said: string[] = [];
  let end: () => void = () => undefined;
  const ended = new Promise<void>((resolve) => {
    end = resolve;
  });
  let stopped = 0;
  let looks = 0;
  const waiting = async () => ({
    address: '',
    pid: 0,
    ended: new Promise<number>(() => undefined),
    stop: async () => {
      stopped++;
    },
    kill: async () => undefined,
  });
  const troubled = {
    isRunning: async () => {
      looks++;
      if (looks === 2) throw new Error('It can’t be told whether it runs.');
      if (looks === 6) end();
      return looks === 1 || looks > 5;
    },
    comeBack: async () => {
      if (looks < 5) throw new Error('The disk is full.');
    },
  };
  await supervise({ start: waiting, cluster: troubled, say: (line) => said.push(line), ended, lookEveryMs: 5 });
  assert.deepEqual(said, [
    'The database can’t be started yet; it is tried again. It can’t be told whether it runs.',
    'The database can’t be started yet; it is tried again. The disk is full.',
    'The database had stopped by itself; it was started again.',
  ]);
  assert.equal(stopped, 1);
});

test('an application that ends again and again is not started any more', async () => {
  let starts = 0;
  const dead = async () => {
    starts++;
    return { address: '', pid: 0, ended: Promise.resolve(1), stop: async () => undefined, kill: async () => undefined };
  };
  await assert.rejects(
    supervise({ start: dead, cluster: undefined, say: () => undefined, ended: new Promise(() => undefined) }),
    /again and again/,
  );
  assert.equal(starts, 6);
});

test('application and database killed at random under many writers: nothing acknowledged is lost, nothing half there, nothing twice', async () => {
  const { acknowledged, again, selfExits, lost, half, doubled, wrong } = await killAtRandom({ application: 3, database: 6 });
  assert.ok(acknowledged >= 9 && again > 0, `${acknowledged} written, ${again} sent again: the kills hit nothing`);
  assert.deepEqual({ lost, half, doubled, selfExits, wrong }, { lost: 0, half: 0, doubled: 0, selfExits: 0, wrong: [] });
});
