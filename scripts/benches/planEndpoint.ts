import { createServer } from 'node:http';
import { Bench } from 'tinybench';
import { plan } from '../../src/core/index.ts';
import { buildIfNeeded } from '../machine/build.ts';
import { freePort, loopback } from '../machine/ports.ts';
import { startWebServer } from '../machine/webServer.ts';
import { question } from './question.ts';
import { median, report } from './report.ts';

/** The planning endpoint against a bare server that returns the same bytes. */
export async function benchPlanEndpoint(): Promise<void> {
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
