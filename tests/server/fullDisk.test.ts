import assert from 'node:assert/strict';
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test } from 'node:test';
import { freePort } from '../../scripts/machine/ports.ts';
import { startCluster } from '../../scripts/machine/postgres/cluster.ts';
import { createDatabase, prepareStudio } from '../../scripts/machine/studio.ts';
import { supervise } from '../../scripts/machine/supervise.ts';
import { startWebServer, type WebServer } from '../../scripts/machine/webServer.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';

/** A disk so small that it can be filled; `undefined` where none may be made here. */
function smallDisk(): { readonly folder: string; readonly remove: () => void } | undefined {
  const folder = mkdtempSync(join(tmpdir(), 'ropewalk-disk-'));
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=300m', 'tmpfs', folder]).status !== 0) {
    rmSync(folder, { recursive: true });
    return undefined;
  }
  chmodSync(folder, 0o755);
  return {
    folder,
    remove: () => {
      spawnSync('umount', [folder]);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

const disk = smallDisk();
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

test('a full disk refuses what can’t be kept and loses nothing; once there is room it goes on by itself', {
  skip: disk === undefined && 'no disk of its own can be mounted here',
}, async () => {
  if (!disk) return;
  const cluster = await startCluster(join(disk.folder, 'records'), []);
  let end: () => void = () => undefined;
  const ended = new Promise<void>((resolve) => {
    end = resolve;
  });
  try {
    await createDatabase(cluster.of('postgres').owner, 'full');
    await prepareStudio(cluster.of('full'));
    const own = await freePort();
    let web: WebServer | undefined;
    const start = async () => {
      web = await startWebServer(own, cluster.of('full').app, 'silent');
      return web;
    };
    const running = supervise({ start, cluster, say: () => undefined, ended, lookEveryMs: 200 });
    while (!web) await pause(50);
    const address = `http://127.0.0.1:${own}`;
    const write = async (id: string) => {
      const body = { ...kinds.clients.fresh, id, name: `Kept ${id}`, note: id.repeat(40) };
      const answer = await fetch(`${address}/api/clients`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
      return { status: answer.status, body: (await answer.json()) as { error?: { code: string; message: string } } };
    };
    const { bavail, bsize } = statfsSync(disk.folder);
    writeFileSync(join(disk.folder, 'filler'), Buffer.alloc(bavail * bsize - 256 * 1024));
    const acknowledged: string[] = [];
    let refused: Awaited<ReturnType<typeof write>> | undefined;
    let refusedId = '';
    for (let i = 0; i < 3000 && !refused; i++) {
      const id = randomUUID();
      const answer = await write(id);
      if (answer.status === 201) acknowledged.push(id);
      else [refused, refusedId] = [answer, id];
    }
    assert.equal(refused?.status, 503, JSON.stringify(refused));
    assert.equal(refused?.body.error?.code, 'records-unreachable');
    assert.equal((await fetch(`${address}/api/alive`)).status, 200, 'the application has ended');
    rmSync(join(disk.folder, 'filler'));
    let again = 0;
    for (let tries = 0; tries < 300 && again !== 201; tries++, await pause(100)) again = (await write(refusedId)).status;
    assert.equal(again, 201, 'it did not go on');
    for (const id of [...acknowledged, refusedId]) assert.equal((await fetch(`${address}/api/clients/${id}`)).status, 200, `${id} is lost`);
    const { total } = (await (await fetch(`${address}/api/clients?find=Kept`)).json()) as { total: number };
    assert.equal(total, acknowledged.length + 1, 'nothing half there, nothing twice');
    end();
    await running;
  } finally {
    end();
    await cluster.stop().catch(() => undefined);
    disk.remove();
  }
});
