import { fork } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { Bench } from 'tinybench';
import { planFor } from '../../src/server/planFor.ts';
import { buildIfNeeded } from '../machine/build.ts';
import { freePort, loopback } from '../machine/ports.ts';
import { startWebServer } from '../machine/webServer.ts';
import { question } from './question.ts';
import { median, report } from './report.ts';

/**
 * The planning endpoint against one that returns the same bytes without working anything out, behind the same server in
 * front and by a server that does nothing else; for the named knots and for all of them.
 */
export async function benchPlanEndpoint(): Promise<void> {
  buildIfNeeded();
  // Planning needs no records, so no database is started for it.
  const web = await startWebServer(await freePort(), `postgres://nobody@${loopback}:9/none`, 'silent');
  try {
    for (const knots of ['named', 'all'] as const) await against(web.address, knots);
  } finally {
    await web.stop();
  }
}

async function against(address: string, knots: 'named' | 'all'): Promise<void> {
  const asked = { ...question, search: { knots } };
  const body = JSON.stringify(asked);
  const answer = JSON.stringify(planFor(asked));
  // In a process of its own, as the application is: waking another process is no part of either's work.
  const bare = fork(join(import.meta.dirname, 'bareServer.ts'));
  bare.send(answer);
  const [[bareServer, bareEndpoint]] = (await once(bare, 'message')) as [[number, number]];
  try {
    const ask = async (url: string) => {
      // Uncompressed, so that both send the same bytes.
      const headers = { 'content-type': 'application/json', 'accept-encoding': 'identity' };
      await (await fetch(url, { method: 'POST', headers, body })).arrayBuffer();
    };
    const bench = new Bench({ time: 3000, warmupTime: 1000 });
    bench
      .add('server', () => ask(`http://${loopback}:${bareServer}/`))
      .add('endpoint', () => ask(`http://${loopback}:${bareEndpoint}/api/bare`))
      .add('plan', () => ask(`${address}/api/plan`));
    await bench.run();
    const [serverMs = 0, endpointMs = 0, planMs = 0] = bench.tasks.map(median);
    report([
      [`bare server, same bytes, ${knots}`, `${serverMs.toFixed(2)} ms`, `${(answer.length / 1024).toFixed(0)} kB`],
      [`bare endpoint, same bytes, ${knots}`, `${endpointMs.toFixed(2)} ms`, `${(endpointMs / serverMs).toFixed(1)} × the bare server`],
      [
        `/api/plan round trip, ${knots}`,
        `${planMs.toFixed(2)} ms`,
        `${(planMs / endpointMs).toFixed(1)} × the bare endpoint, ${(planMs / serverMs).toFixed(1)} × the bare server`,
      ],
    ]);
  } finally {
    bare.disconnect();
  }
}
