import { MachineFailure } from './failure.ts';
import type { Cluster } from './postgres/cluster.ts';
import type { WebServer } from './webServer.ts';

export interface Supervised {
  readonly start: () => Promise<WebServer>;
  /** The database that was started along; `undefined` where it is somebody else’s. */
  readonly cluster: Pick<Cluster, 'isRunning' | 'comeBack'> | undefined;
  readonly say: (line: string) => void;
  /** Settles when it is to end. */
  readonly ended: Promise<unknown>;
  readonly lookEveryMs?: number;
}

/** Ended so often within so long, it is not started again: something is wrong that starting does not mend. */
const mostRestarts = 5;
const withinMs = 60_000;

/** Keeps the application and its database running until it is to end: what stops by itself is started again. */
export async function supervise({ start, cluster, say, ended, lookEveryMs = 5000 }: Supervised): Promise<void> {
  let isOver = false;
  let isDown = false;
  let wake: () => void = () => undefined;
  void ended.then(() => {
    isOver = true;
    wake();
  });
  const serve = async () => {
    const web = await start();
    isDown = false;
    void web.ended.then(() => {
      isDown = true;
      wake();
    });
    return web;
  };
  let web = await serve();
  const restarts: number[] = [];
  const looks = setInterval(() => wake(), lookEveryMs);
  let trouble = '';
  try {
    while (!isOver) {
      await new Promise<void>((resolve) => {
        wake = resolve;
        if (isOver || isDown) resolve();
      });
      if (isOver) break;
      const now = await troubleWith(cluster, say);
      // Looked at again and again, and told once.
      if (now && now !== trouble) say(now);
      trouble = now;
      if (!isDown) continue;
      restarts.push(performance.now());
      if (restarts.filter((at) => performance.now() - at < withinMs).length > mostRestarts)
        throw new MachineFailure(
          'The application ended unexpectedly again and again. Its last words stand above; nothing on record was changed by it.',
        );
      say('The application has ended unexpectedly; it is started again.');
      web = await serve();
    }
  } finally {
    clearInterval(looks);
    await web.stop();
  }
}

/** Brings a database back that has stopped by itself; what stands in the way of it, or nothing. The application waits for it meanwhile. */
async function troubleWith(cluster: Supervised['cluster'], say: (line: string) => void): Promise<string> {
  try {
    if (!cluster || (await cluster.isRunning())) return '';
    await cluster.comeBack();
    say('The database had stopped by itself; it was started again.');
    return '';
  } catch (failed) {
    return `The database can’t be started yet; it is tried again. ${failed instanceof Error ? failed.message : String(failed)}`;
  }
}
