import { backUpNightly } from '../machine/backup/nightly.ts';
import { buildIfNeeded } from '../machine/build.ts';
import { MachineFailure, runTask } from '../machine/failure.ts';
import { isTaken, loopback } from '../machine/ports.ts';
import { backupFolder } from '../machine/postgres/folder.ts';
import { openRecords } from '../machine/postgres/records.ts';
import { prepareStudio } from '../machine/studio.ts';
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
    const running = await healthAt(port);
    if (running?.records === 'ok') {
      console.log(`Ropewalk is already running at http://${loopback}:${port}`);
      return;
    }
    if (running)
      throw new MachineFailure(
        `Ropewalk is already running at http://${loopback}:${port}, but its records can’t be reached. What started it tries to bring them back; where it doesn’t, end it (Ctrl-C) and start again.`,
      );
    throw new MachineFailure(`Port ${port} is in use by another program. Choose another one: PORT=4311 npm start`);
  }

  buildIfNeeded();
  const records = await openRecords();
  try {
    await prepareStudio(records.addresses, console.log);
    // Somebody else’s server may have a way of its own; told where to, its records are backed up too.
    const isOurs = records.cluster !== undefined || Boolean(process.env['ROPEWALK_BACKUPS']);
    const nightly = isOurs ? backUpNightly(records.addresses.owner, backupFolder(), console.log) : undefined;
    await supervise({
      start: async () => {
        const web = await startWebServer(port, records.addresses.app, 'info');
        console.log(`Ropewalk is ready at ${web.address}   (Ctrl-C ends it)`);
        return web;
      },
      cluster: records.cluster,
      say: console.log,
      ended: signal,
    }).finally(() => nightly?.stop());
  } finally {
    await records.leave();
  }
});

/** What a Ropewalk on a port says of itself; `undefined` where another program holds it. */
async function healthAt(port: number): Promise<{ readonly records: string } | undefined> {
  try {
    const answer = await fetch(`http://${loopback}:${port}/api/health`, { signal: AbortSignal.timeout(5000) });
    const body = (await answer.json()) as { readonly app?: string; readonly records: string } | null;
    return body?.app === 'ropewalk' ? body : undefined;
  } catch {
    return undefined;
  }
}

function signalled(): Promise<'signalled'> {
  return new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => resolve('signalled'));
  });
}
