import { buildIfNeeded } from '../machine/build.ts';
import { startLastingCluster } from '../machine/cluster.ts';
import { MachineFailure, runTask } from '../machine/failure.ts';
import { isTaken, loopback } from '../machine/ports.ts';
import { createDatabase, prepareStudio } from '../machine/studio.ts';
import { supervise } from '../machine/supervise.ts';
import { startWebServer } from '../machine/webServer.ts';

const usualPort = 4310;

await runTask(async () => {
  // From the very beginning, so that Ctrl-C during the start still stops what was started so far.
  const signal = signalled();
  const port = Number(process.env['PORT'] ?? usualPort);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new MachineFailure(`PORT must be a port number, not “${process.env['PORT']}”.`);
  if (await isTaken(port)) {
    if (await isOurs(port)) {
      console.log(`Ropewalk is already running at http://${loopback}:${port}`);
      return;
    }
    throw new MachineFailure(`Port ${port} is in use by another program. Choose another one: PORT=4311 npm start`);
  }

  buildIfNeeded();
  const cluster = process.env['DATABASE_URL'] ? undefined : await startLastingCluster();
  try {
    if (cluster) await createDatabase(cluster.url('postgres'), 'ropewalk');
    const url = process.env['DATABASE_URL'] ?? cluster?.url('ropewalk') ?? '';
    await prepareStudio(url, console.log);
    await supervise({
      start: async () => {
        const web = await startWebServer(port, url, 'info');
        console.log(`Ropewalk is ready at ${web.address}   (Ctrl-C ends it)`);
        return web;
      },
      cluster: cluster?.ours ? cluster : undefined,
      say: console.log,
      ended: signal,
    });
  } finally {
    if (cluster?.ours) cluster.stop();
  }
});

async function isOurs(port: number): Promise<boolean> {
  try {
    const answer = await fetch(`http://${loopback}:${port}/api/health`, { signal: AbortSignal.timeout(5000) });
    const body: unknown = await answer.json();
    return typeof body === 'object' && body !== null && 'app' in body && body.app === 'ropewalk';
  } catch {
    return false;
  }
}

function signalled(): Promise<'signalled'> {
  return new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => resolve('signalled'));
  });
}
