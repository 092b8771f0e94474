import type { Cluster } from './cluster.ts';
import { MachineFailure } from './failure.ts';
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
  void ended.then(() => {
    isOver = true;
  });
  let web = await start();
  const restarts: number[] = [];
  while (!isOver) {
    const look = new Promise((resolve) => setTimeout(resolve, lookEveryMs));
    const what = await Promise.race([
      ended.then(() => 'over' as const),
      web.ended.then(() => 'crashed' as const),
      look.then(() => 'look' as const),
    ]);
    if (what === 'over') break;
    if (cluster && !cluster.isRunning()) {
      say('The database has stopped by itself; it is started again.');
      await cluster.comeBack();
    }
    if (what !== 'crashed') continue;
    const now = Date.now();
    restarts.push(now);
    if (restarts.filter((at) => now - at < withinMs).length > mostRestarts)
      throw new MachineFailure(
        'The application ended unexpectedly again and again. Its last words stand above; nothing on record was changed by it.',
      );
    say('The application has ended unexpectedly; it is started again.');
    web = await start();
  }
  await web.stop();
}
