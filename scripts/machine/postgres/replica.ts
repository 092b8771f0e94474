import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { postgresPrograms } from '../debian.ts';
import { MachineFailure } from '../failure.ts';
import { freePort, loopback } from '../ports.ts';
import { asOwner, toOwner } from './account.ts';
import type { Cluster } from './cluster.ts';

/** A server that follows another and can only be read, for as long as a test or a measurement takes. */
export interface Replica {
  /** Where a database of the one it follows is read, by the same role. */
  readonly urlOf: (url: string) => string;
  readonly stop: () => Promise<void>;
}

/** Copies a running server and follows it from there on; gone with its data when stopped. */
export async function startReplica(of: Cluster): Promise<Replica> {
  const bin = postgresPrograms();
  const folder = mkdtempSync(join(tmpdir(), 'ropewalk-replica-'));
  toOwner(folder);
  const data = join(folder, 'data');
  const copied = await asOwner(join(bin, 'pg_basebackup'), ['-D', data, '-d', of.of('postgres').owner, '-R', '-X', 'stream', '-c', 'fast']);
  if (copied.status !== 0) throw new MachineFailure(`PostgreSQL could not be copied: ${copied.stderr.trim()}`);
  const port = await freePort();
  const settings = `-c listen_addresses=${loopback} -c port=${port} -c unix_socket_directories= -c fsync=off -c hot_standby_feedback=on`;
  const started = await asOwner(join(bin, 'pg_ctl'), ['start', '-w', '-D', data, '-l', join(folder, 'postgres.log'), '-o', settings]);
  if (started.status !== 0) throw new MachineFailure(`PostgreSQL’s replica did not start: see ${folder}/postgres.log`);
  return {
    urlOf: (url) => Object.assign(new URL(url), { port: String(port) }).href,
    stop: async () => {
      await asOwner(join(bin, 'pg_ctl'), ['stop', '-w', '-m', 'immediate', '-D', data]);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
