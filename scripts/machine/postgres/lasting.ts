import { join } from 'node:path';
import { lock } from 'proper-lockfile';
import { MachineFailure } from '../failure.ts';
import { type Cluster, startCluster } from './cluster.ts';
import { ensureFolder, lastingFolder } from './folder.ts';
import { usersOf } from './users.ts';

/**
 * The server that keeps the studio of this checkout; created at first use, and found if it runs already. However many start
 * it, one after the other, the last one to leave stops it.
 */
export async function startLastingCluster(folder = lastingFolder()): Promise<Cluster> {
  ensureFolder(folder);
  const users = usersOf(folder);
  const alone = <T>(what: () => Promise<T>) => oneAtATime(folder, what);
  const cluster = await alone(async () => {
    const started = await startCluster(folder, []);
    users.add();
    return started;
  });
  return {
    ...cluster,
    stop: () =>
      alone(async () => {
        if (users.leave()) await cluster.stop();
      }),
    comeBack: () =>
      alone(async () => {
        if (!(await cluster.isRunning())) await cluster.comeBack();
      }),
  };
}

/** So long may a first start take; whoever held it longer without a sign of life is gone. */
const patience = { retries: { retries: 240, factor: 1, minTimeout: 500, maxTimeout: 500 }, stale: 10_000 };

async function oneAtATime<T>(folder: string, what: () => Promise<T>): Promise<T> {
  const release = await lock(folder, { ...patience, lockfilePath: join(folder, 'busy') }).catch(() => {
    throw new MachineFailure(`Another start is busy with the records in ${folder}. Try again in a minute.`);
  });
  try {
    return await what();
  } finally {
    await release();
  }
}
