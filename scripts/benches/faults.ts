import { readFileSync } from 'node:fs';
import { throwAt, type Withstood } from '../faults/hostile.ts';
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
    // Once warm, what it holds should stay: what the first half still adds the second must not add again.
    await throwing(requests / 10, 1);
    const heldMb = [residentMb(web.pid)];
    const halves: Withstood[] = [];
    for (const seed of [2, 3]) {
      halves.push(await throwing(requests / 2, seed));
      heldMb.push(residentMb(web.pid));
    }
    const statuses = statusesOf(halves);
    const wrong = halves.flatMap((half) => half.wrong);
    const longest = Math.max(...halves.map(({ othersWaitedMs }) => othersWaitedMs.longest));
    const medians = halves.map(({ othersWaitedMs }) => othersWaitedMs.median.toFixed(1));
    const heldUp = halves.map((half) => half.heldUp).reduce((worse, other) => (other.ms > worse.ms ? other : worse));
    report([
      ['hostile requests', `${requests}`, statuses.join(', ')],
      ['errors of the server’s own', `${wrong.length}`, wrong[0] ?? ''],
      ['memory', `${heldMb.map((mb) => mb.toFixed(0)).join(', ')} MB`, 'before, after half of them, after all'],
      ['others waited', `${longest.toFixed(0)} ms`, `at the longest; ${medians.join(' and ')} ms in the middle of either half`],
      ['the slowest alone again', `${heldUp.ms.toFixed(0)} ms`, `others waited; beside ${heldUp.by}`],
    ]);
  });
}

/** How many answers of each status there were in all. */
function statusesOf(halves: readonly Withstood[]): string[] {
  const answered = new Map<string, number>();
  for (const half of halves)
    for (const [status, times] of Object.entries(half.answered)) answered.set(status, (answered.get(status) ?? 0) + times);
  return [...answered].map(([status, times]) => `${times} × ${status}`);
}

function residentMb(pid: number): number {
  return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
}
