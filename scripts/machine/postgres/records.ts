import { createDatabase } from '../studio.ts';
import type { Addresses, Cluster } from './cluster.ts';
import { startLastingCluster } from './lasting.ts';

/** The database of this checkout’s own cluster that the records stand in. */
const ownDatabase = 'ropewalk';

export interface OpenRecords {
  readonly addresses: Addresses;
  /** The server that was started for it; `undefined` where it is somebody else’s. */
  readonly cluster: Cluster | undefined;
  readonly leave: () => Promise<void>;
}

/**
 * The studio’s records, wherever they are kept: where `DATABASE_URL` says (with `DATABASE_OWNER_URL` for whoever may change
 * the schema, the same unless it is set), otherwise in this checkout’s own cluster.
 */
export async function openRecords(): Promise<OpenRecords> {
  const named = process.env['DATABASE_URL'];
  if (named) {
    return {
      addresses: { owner: process.env['DATABASE_OWNER_URL'] || named, app: named },
      cluster: undefined,
      leave: async () => undefined,
    };
  }
  const cluster = await startLastingCluster();
  try {
    await createDatabase(cluster.of('postgres').owner, ownDatabase);
  } catch (error) {
    await cluster.stop();
    throw error;
  }
  return { addresses: cluster.of(ownDatabase), cluster, leave: cluster.stop };
}
