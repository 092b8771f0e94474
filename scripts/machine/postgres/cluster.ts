import { randomBytes } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { postgresPrograms } from '../debian.ts';
import { MachineFailure } from '../failure.ts';
import { freePort, isTaken, loopback } from '../ports.ts';
import { asOwner, toOwner } from './account.ts';
import { ensureFolder } from './folder.ts';
import { applicationRole, ensureApplicationRole } from './roles.ts';

/** Where a database is reached. */
export interface Addresses {
  /** By whoever owns it: sets it up, brings it up to date, backs it up, restores it. */
  readonly owner: string;
  /** By the application, which reads and writes records and nothing else. */
  readonly app: string;
}

/** A PostgreSQL server of our own, listening on loopback only. */
export interface Cluster {
  readonly of: (database: string) => Addresses;
  readonly stop: () => Promise<void>;
  readonly isRunning: () => Promise<boolean>;
  /** Starts it again where it was, after it stopped by itself. */
  readonly comeBack: () => Promise<void>;
}

const superuser = 'ropewalk';

/** Starts the server that keeps its data in a folder, created first where there is none, unless it runs already. */
export async function startCluster(folder: string, options: readonly string[], wantedPort?: number): Promise<Cluster> {
  const bin = postgresPrograms();
  ensureFolder(folder);
  const data = join(folder, 'data');
  if (!existsSync(join(data, 'global', 'pg_control'))) {
    // Once started it held records: an empty studio in their place would look as if they had never been.
    if (existsSync(join(data, 'postmaster.opts')))
      throw new MachineFailure(
        `The records in ${data} are damaged and can’t be opened. Move that folder aside, then restore a backup: npm run restore`,
      );
    // Never whole: out of the way, and not thrown away.
    if (existsSync(data)) renameSync(data, join(folder, `incomplete-${Date.now()}`));
    await createCluster(bin, folder, data);
  }
  const password = secretIn(join(folder, 'password'));
  const appPassword = secretIn(join(folder, 'app-password'));

  const port = (await runningPort(bin, data)) ?? (await started(bin, folder, data, options, wantedPort ?? (await freePort())));
  const address = (user: string, secret: string, database: string) => `postgres://${user}:${secret}@${loopback}:${port}/${database}`;
  await ensureApplicationRole(address(superuser, password, 'postgres'), appPassword);
  return {
    of: (database) => ({
      owner: address(superuser, password, database),
      app: address(applicationRole, appPassword, database),
    }),
    stop: async () => {
      await asOwner(join(bin, 'pg_ctl'), ['stop', '-w', '-m', 'fast', '-D', data]);
    },
    isRunning: async () => (await runningPort(bin, data)) !== undefined,
    comeBack: async () => {
      await startCluster(folder, options, port);
    },
  };
}

/** Starts the server; answers the port it listens on. */
async function started(bin: string, folder: string, data: string, options: readonly string[], port: number): Promise<number> {
  const settings = ['-c', `listen_addresses=${loopback}`, '-c', `port=${port}`, '-c', 'unix_socket_directories=', ...options];
  const log = join(folder, 'postgres.log');
  // pg_ctl -w waits until the server answers; the server outlives it in a session of its own, safe from Ctrl-C.
  const start = ['start', '-w', '-t', '60', '-D', data, '-l', log, '-o', settings.map(quoted).join(' ')];
  if ((await asOwner(join(bin, 'pg_ctl'), start)).status === 0) return port;
  // A start that was killed may have left behind a server that was just coming up.
  for (let waited = 0; waited < settlingMs; waited += 250) {
    await new Promise((resolve) => setTimeout(resolve, 250));
    const there = await runningPort(bin, data);
    if (there !== undefined && (await isTaken(there))) return there;
  }
  const end = existsSync(log) ? readFileSync(log, 'utf8').trim().split('\n').slice(-3).join('\n') : '';
  throw new MachineFailure(`PostgreSQL did not start. It says:\n${end}`);
}

const settlingMs = 5000;

/** Made aside and moved into place once it is whole: what an interrupted first start leaves behind is in nobody’s way. */
async function createCluster(bin: string, folder: string, data: string): Promise<void> {
  for (const left of readdirSync(folder).filter((name) => name.startsWith('new-')))
    rmSync(join(folder, left), { recursive: true, force: true });
  const aside = mkdtempSync(join(folder, 'new-'));
  toOwner(aside);
  const made = join(aside, 'data');
  const passwordFile = join(aside, 'password');
  writeSecret(passwordFile);
  const result = await asOwner(join(bin, 'initdb'), [
    '-D',
    made,
    '-U',
    superuser,
    '--auth=scram-sha-256',
    `--pwfile=${passwordFile}`,
    '--encoding=UTF8',
    '--locale=C.UTF-8',
    // What a disk returns otherwise than it was written is told, not believed.
    '--data-checksums',
  ]);
  if (result.status !== 0) {
    rmSync(aside, { recursive: true, force: true });
    throw new MachineFailure(`PostgreSQL could not create its data folder ${data}: ${result.stderr.trim()}`);
  }
  renameSync(passwordFile, join(folder, 'password'));
  renameSync(made, data);
  rmSync(aside, { recursive: true, force: true });
}

function secretIn(file: string): string {
  if (!existsSync(file)) writeSecret(file);
  return readFileSync(file, 'utf8').trim();
}

function writeSecret(file: string): void {
  writeFileSync(file, randomBytes(24).toString('hex'), { mode: 0o600 });
  toOwner(file);
}

/** The port of the server that already runs on this data folder, if one does. */
async function runningPort(bin: string, data: string): Promise<number | undefined> {
  if ((await asOwner(join(bin, 'pg_ctl'), ['status', '-D', data])).status !== 0) return undefined;
  const file = join(data, 'postmaster.pid');
  // A server that ends just now takes its file along, and one that comes up has not written all of it.
  const written = await readFile(file, 'utf8').catch((gone: NodeJS.ErrnoException) => {
    if (gone.code === 'ENOENT') return '';
    throw gone;
  });
  return Number(written.split('\n')[3]) || undefined;
}

function quoted(text: string): string {
  return `'${text}'`;
}
