import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { postgresPrograms } from '../debian.ts';
import { asOwner, toOwner } from './account.ts';
import { type Cluster, startCluster } from './cluster.ts';

/** A server for one test run or one set of pictures: fast, and gone with its data when stopped. */
export async function startPassingCluster(): Promise<Cluster> {
  const folder = passingFolder();
  return passing(await startCluster(folder, ['-c', 'fsync=off', '-c', 'synchronous_commit=off', '-c', 'full_page_writes=off']), folder);
}

/** A server that can be crashed and comes back where it was, as safe with what it was told as the lasting one. */
export interface CrashingCluster extends Cluster {
  /** Ends it at once, as a power cut would, in the midst of whatever it does. */
  readonly crash: () => Promise<void>;
}

export async function startCrashingCluster(): Promise<CrashingCluster> {
  const folder = passingFolder();
  const cluster = await startCluster(folder, []);
  return {
    ...passing(cluster, folder),
    crash: async () => {
      const data = join(folder, 'data');
      const pid = Number(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[0]);
      await asOwner(join(postgresPrograms(), 'pg_ctl'), ['stop', '-W', '-m', 'immediate', '-D', data]);
      // By its own number: somebody may start another at once.
      while (existsSync(`/proc/${pid}`)) await new Promise((resolve) => setTimeout(resolve, 20));
    },
  };
}

function passingFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'ropewalk-'));
  toOwner(folder);
  return folder;
}

function passing(cluster: Cluster, folder: string): Cluster {
  return {
    ...cluster,
    stop: async () => {
      await cluster.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
