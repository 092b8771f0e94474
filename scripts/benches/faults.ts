import { readFileSync } from 'node:fs';
import { throwAt } from '../faults/hostile.ts';
import { killAtRandom } from '../faults/killing.ts';
import { buildIfNeeded } from '../machine/build.ts';
import { withPassingStudio } from '../machine/passingStudio.ts';
import { report } from './report.ts';

const kills = 200;
const requests = 100_000;

/** Application and database killed at random under a load of writes; then what no page would send, in great numbers. */
export async function benchFaults(): Promise<void> {
  buildIfNeeded();
  const { acknowledged, again, lost, half, doubled, selfExits, wrong } = await killAtRandom({
    application: kills,
    database: kills,
    say: console.log,
  });
  report([
    [`killed, ${kills} times each`, `${acknowledged}`, `writes acknowledged, ${again} sent again`],
    ['lost, half, doubled', `${lost}, ${half}, ${doubled}`, `the application ended by itself ${selfExits} times`],
    ['wrong answers', `${wrong.length}`, wrong[0] ?? ''],
  ]);
  await benchHostile();
}

async function benchHostile(): Promise<void> {
  await withPassingStudio(async ({ web }) => {
    const throwing = (count: number, seed: number) => throwAt({ address: web.address, count, seed, say: console.log });
    // Once warm, what it holds should stay.
    await throwing(requests / 10, 1);
    const before = residentMb(web.pid);
    const { sent, answered, wrong, othersWaitedMs, heldUp } = await throwing(requests, 2);
    const statuses = Object.entries(answered).map(([status, times]) => `${times} × ${status}`);
    report([
      ['hostile requests', `${sent}`, statuses.join(', ')],
      ['errors of the server’s own', `${wrong.length}`, wrong[0] ?? ''],
      ['memory', `${residentMb(web.pid).toFixed(0)} MB`, `before ${before.toFixed(0)} MB`],
      ['others waited', `${othersWaitedMs.longest.toFixed(0)} ms`, `at the longest; ${othersWaitedMs.median.toFixed(1)} ms in the middle`],
      ['the slowest alone again', `${heldUp.ms.toFixed(0)} ms`, `others waited; beside ${heldUp.by}`],
    ]);
  });
}

function residentMb(pid: number): number {
  return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
}
