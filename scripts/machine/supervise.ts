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
  try {
    while (!isOver) {
      await new Promise<void>((resolve) => {
        wake = resolve;
        if (isOver || isDown) resolve();
      });
      if (isOver) break;
      if (cluster && !(await cluster.isRunning())) {
        say('The database has stopped by itself; it is started again.');
        await cluster.comeBack();
      }
      if (!isDown) continue;
      const now = Date.now();
      restarts.push(now);
      if (restarts.filter((at) => now - at < withinMs).length > mostRestarts)
        throw new MachineFailure(
          'The application ended unexpectedly again and again. Its last words stand above; nothing on record was changed by it.',
        );
      say('The application has ended unexpectedly; it is started again.');
      web = await serve();
    }
  } finally {
    clearInterval(looks);
  }
  await web.stop();
}
