import { createServer } from 'node:http';
import { Bench } from 'tinybench';
import { enumerateKnots, type PlanQuestion, plan, takeUp } from '../../src/core/index.ts';
import { spokesCrossed } from '../../src/core/knot/knot.ts';
import { supposeTie } from '../../src/core/tie/tie.ts';
import { startFor } from '../../src/core/tying/start.ts';
import { buildIfNeeded } from '../machine/build.ts';
import { runTask } from '../machine/failure.ts';
import { freePort, loopback } from '../machine/ports.ts';
import { startWebServer } from '../machine/webServer.ts';

const question: PlanQuestion = {
  client: { heightMm: 1780, neckMm: 395, frontDropMm: 450 },
  jacket: { lapelMm: 85 },
  tie: supposeTie({ lengthMm: 1470, bladeMm: 85, thicknessMm: 3.2 }),
  taste: { knots: 'all' },
};
const tie = supposeTie(question.tie);
const knots = enumerateKnots(9);
const mostMoves = 12;

await runTask(async () => {
  await core();
  await endpoint();
});

/** The ranking against the bare take-ups it is made of, and the enumeration. */
async function core(): Promise<void> {
  const bench = new Bench({ time: 1500, warmupTime: 300 });
  bench
    .add('85 take-ups', () => {
      for (const knot of knots) takeUp(knot, tie, { loopMm: 420, tailMm: 350 });
    })
    .add('plan of 85 knots', () => {
      plan(question);
    })
    .add(`enumeration to ${mostMoves} moves`, () => {
      enumerateKnots(mostMoves);
    });
  await bench.run();
  const [takeUps = 0, planning = 0, enumeration = 0] = bench.tasks.map(median);
  const evaluations = knots.reduce(
    (sum, knot) => sum + startFor(spokesCrossed(knot), tie, { loopMm: 420, crossingGapMm: 0, dropMm: 450 }).evaluations,
    0,
  );
  report([
    ['85 take-ups', `${takeUps.toFixed(3)} ms`, ''],
    ['plan of 85 knots', `${planning.toFixed(3)} ms`, `${(planning / takeUps).toFixed(1)} × 85 take-ups`],
    ['take-ups a knot while solving', (evaluations / knots.length).toFixed(2), 'at most 8'],
    [`enumeration to ${mostMoves} moves`, `${enumeration.toFixed(3)} ms`, `${enumerateKnots(mostMoves).length} knots`],
  ]);
}

/** The planning endpoint against a bare server that returns the same bytes. */
async function endpoint(): Promise<void> {
  buildIfNeeded();
  const body = JSON.stringify(question);
  const answer = JSON.stringify(plan(question));
  const bare = createServer((request, response) => {
    request.resume().on('end', () => response.writeHead(200, { 'content-type': 'application/json' }).end(answer));
  });
  const barePort = await freePort();
  await new Promise<void>((resolve) => bare.listen(barePort, loopback, resolve));
  // Planning needs no records, so no database is started for it.
  const web = await startWebServer(await freePort(), `postgres://nobody@${loopback}:9/none`, 'silent');
  try {
    const ask = async (url: string) => {
      const response = await fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body });
      await response.arrayBuffer();
    };
    const bench = new Bench({ time: 3000, warmupTime: 500 });
    bench.add('bare', () => ask(`http://${loopback}:${barePort}/`)).add('/api/plan', () => ask(`${web.address}/api/plan`));
    await bench.run();
    const [bareMs = 0, planMs = 0] = bench.tasks.map(median);
    report([
      ['bare endpoint, same bytes', `${bareMs.toFixed(2)} ms`, `${(answer.length / 1024).toFixed(0)} kB`],
      ['/api/plan round trip', `${planMs.toFixed(2)} ms`, `${(planMs / bareMs).toFixed(1)} × bare`],
    ]);
  } finally {
    await web.stop();
    bare.close();
  }
}

function median(task: Bench['tasks'][number]): number {
  if (task.result.state !== 'completed') throw new Error(`The benchmark “${task.name}” did not complete.`);
  return task.result.latency.p50;
}

function report(lines: readonly (readonly [what: string, figure: string, ratio: string])[]): void {
  for (const [what, figure, ratio] of lines) console.log(`${what.padEnd(34)}${figure.padStart(12)}   ${ratio}`);
}
