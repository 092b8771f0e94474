import { fork } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { planFor } from '../../src/server/planFor.ts';
import { buildIfNeeded } from '../machine/build.ts';
import { freePort, loopback } from '../machine/ports.ts';
import { startWebServer } from '../machine/webServer.ts';
import { question } from './question.ts';
import { report } from './report.ts';

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

const warmUp = 400;
const rounds = 1200;

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
    const urls = [`http://${loopback}:${bareServer}/`, `http://${loopback}:${bareEndpoint}/api/bare`, `${address}/api/plan`];
    // In turn, so that whatever else the machine does weighs on all of them alike.
    const took = urls.map((): number[] => []);
    for (let round = 0; round < warmUp + rounds; round++) {
      for (const [i, url] of urls.entries()) {
        const from = performance.now();
        await ask(url);
        if (round >= warmUp) took[i]?.push(performance.now() - from);
      }
    }
    const [serverMs = 0, endpointMs = 0, planMs = 0] = took.map((each) => each.toSorted((x, y) => x - y)[rounds / 2]);
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
