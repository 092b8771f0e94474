import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { after, before, test } from 'node:test';
import { freePort } from '../../scripts/machine/ports.ts';
import { type CrashingCluster, startCrashingCluster } from '../../scripts/machine/postgres/passing.ts';
import { createDatabase, prepareStudio } from '../../scripts/machine/studio.ts';
import { supervise } from '../../scripts/machine/supervise.ts';
import { startWebServer, type WebServer } from '../../scripts/machine/webServer.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { CareRecord, TyingRecord, Wardrobe } from '../../src/contract/records/records.ts';
import { openDatabase } from '../../src/server/database.ts';

let cluster: CrashingCluster;
let url: string;
let port: number;
let web: WebServer;
const serve = async () => {
  web = await startWebServer(port, url, 'silent');
};
before(async () => {
  cluster = await startCrashingCluster();
  await createDatabase(cluster.of('postgres').owner, 'killed');
  url = cluster.of('killed').app;
  await prepareStudio(cluster.of('killed'));
  port = await freePort();
  await serve();
});
after(async () => {
  await web.kill();
  await cluster.stop();
});

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const send = (path: string, method: string, body: unknown) =>
  fetch(web.address + path, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

/** Sends until it is acknowledged, as a page does; answers how often it had to. */
async function acknowledged(
  path: string,
  method: string,
  body: unknown,
  sound: (status: number, answer: unknown) => boolean,
): Promise<number> {
  for (let tries = 1; tries < 200; tries++) {
    const answer = await send(path, method, body).catch(() => undefined);
    if (answer && sound(answer.status, await answer.json().catch(() => undefined))) return tries;
    assert.ok(!answer || answer.status === 503 || answer.status === 409, `${path}: ${answer?.status}`);
    await pause(100);
  }
  throw new Error(`${path} was never acknowledged`);
}

test('what ends by itself is started again, application and database; what ends again and again is not', async () => {
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
    'The database has stopped by itself; it is started again.',
  ]);

  let starts = 0;
  const dead = async () => {
    starts++;
    return { address: '', ended: Promise.resolve(1), stop: async () => undefined, kill: async () => undefined };
  };
  await assert.rejects(
    supervise({ start: dead, cluster: undefined, say: () => undefined, ended: new Promise(() => undefined) }),
    /again and again/,
  );
  assert.equal(starts, 6);
});

interface Written {
  readonly tying: TyingRecord;
  readonly care: CareRecord;
  readonly corrected: number;
}

/** Results, their corrections and what happened to ties, one after the other, until told to stop. */
async function write(of: Wardrobe, written: Written[], goOn: () => boolean): Promise<number> {
  let again = 0;
  while (goOn()) {
    const tieId = of.ties[written.length % of.ties.length]!.id;
    const kept = { version: 0, archived: false, tieId };
    const tying: TyingRecord = {
      ...kinds.tyings.fresh,
      ...{ ...kept, id: randomUUID(), label: 'Killed in the middle', knot: 'Li Ro Li Co T', doneOn: '2026-11-20' },
      ...{ clientId: of.client!.id, tipOffMm: 10, setMm: 400, figures: { takeUpMm: 187, setMm: 400 } },
    };
    const care: CareRecord = { ...kinds.cares.fresh, ...kept, id: randomUUID(), label: 'Worn', what: 'worn', fromOn: '2026-11-20' };
    again += (await acknowledged('/api/tyings', 'POST', tying, (status) => status === 201)) - 1;
    again += (await acknowledged('/api/cares', 'POST', care, (status) => status === 201)) - 1;
    const note = `corrected ${written.length}`;
    // A correction that was made, and whose answer was lost, is there when it is sent again.
    const isMade = (status: number, answer: unknown) => status === 200 || JSON.stringify(answer ?? '').includes(note);
    again += (await acknowledged(`/api/tyings/${tying.id}`, 'PUT', { ...tying, version: 1, note }, isMade)) - 1;
    written.push({ tying: { ...tying, note }, care, corrected: 1 });
  }
  return again;
}

test('application and database killed at random under many writers: nothing acknowledged is lost, nothing half there, nothing twice', async () => {
  const of: Wardrobe = await (await fetch(`${web.address}/api/wardrobe`)).json();
  let going = true;
  const written: Written[][] = [[], [], [], []];
  const writers = written.map((own) => write(of, own, () => going));
  for (let round = 0; round < 9; round++) {
    await pause(200 + Math.random() * 400);
    if (round % 3 === 0) {
      await web.kill();
      await serve();
    } else {
      await cluster.crash();
      await pause(Math.random() * 200);
      await cluster.comeBack();
      const ended = await Promise.race([web.ended.then(() => true), pause(300).then(() => false)]);
      assert.equal(ended, false, 'the application ended with the records');
    }
  }
  await pause(300);
  going = false;
  const again = (await Promise.all(writers)).reduce((sum, times) => sum + times, 0);
  const all = written.flat();
  assert.ok(all.length > 10 && again > 0, `${all.length} written, ${again} sent again: the kills hit nothing`);

  const sql = openDatabase(url, { max: 1 });
  try {
    const tyings = await sql<
      { id: string; version: number; note: string }[]
    >`select id, version, note from tyings where label = 'Killed in the middle'`;
    const byId = new Map(tyings.map((row) => [row.id, row]));
    assert.equal(byId.size, tyings.length);
    for (const { tying } of all) {
      const row = byId.get(tying.id);
      assert.ok(row, 'acknowledged, and lost');
      assert.deepEqual([row.version, row.note], [2, tying.note], 'a correction made twice, or lost');
    }
    const cares = await sql<{ id: string }[]>`select id from cares where label = 'Worn' and from_on = '2026-11-20'`;
    assert.deepEqual(
      all.map(({ care }) => care.id).filter((id) => !cares.some((row) => row.id === id)),
      [],
    );
    const half = await sql`
      select tyings.id from tyings where label = 'Killed in the middle' and version > 1
        and not exists (select 1 from tying_history where tying_id = tyings.id and version = tyings.version - 1)`;
    assert.equal(half.length, 0, 'a correction without what it was before');
  } finally {
    await sql.end();
  }
});
