import { spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { chmodSync, chownSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { postgresPrograms } from './debian.ts';
import { MachineFailure } from './failure.ts';
import { root } from './paths.ts';
import { freePort, loopback } from './ports.ts';

/** A PostgreSQL server of our own, listening on loopback only. */
export interface Cluster {
  /** Connection address of one of its databases. */
  readonly url: (database: string) => string;
  /** Whether this process is the one to stop it: it started it, or found it left behind by one that is gone. */
  readonly ours: boolean;
  readonly stop: () => void;
  readonly isRunning: () => boolean;
  /** Starts it again where it was, after it stopped by itself. */
  readonly comeBack: () => Promise<void>;
}

const superuser = 'ropewalk';
const isRoot = process.getuid?.() === 0;

/** PostgreSQL refuses to run as root, so there its own account holds the data, in a place that account can reach. */
function lastingFolder(): string {
  if (!isRoot) return join(root, '.data', 'postgres');
  return join('/var/lib/ropewalk', createHash('sha256').update(root).digest('hex').slice(0, 12));
}

/** The server that keeps the studio of this checkout; created at first use, and found if it runs already. */
export async function startLastingCluster(): Promise<Cluster> {
  return startCluster(lastingFolder(), []);
}

/** A server for one test run or one set of pictures: fast, and gone with its data when stopped. */
export async function startPassingCluster(): Promise<Cluster> {
  const folder = passingFolder();
  const cluster = await startCluster(folder, ['-c', 'fsync=off', '-c', 'synchronous_commit=off', '-c', 'full_page_writes=off']);
  return { ...cluster, stop: () => stopForGood(cluster, folder) };
}

/** A server that can be crashed and comes back where it was, as safe with what it was told as the lasting one. */
export interface CrashingCluster extends Cluster {
  /** Ends it at once, as a power cut would, in the midst of whatever it does. */
  readonly crash: () => void;
}

export async function startCrashingCluster(): Promise<CrashingCluster> {
  const folder = passingFolder();
  const cluster = await startCluster(folder, []);
  return {
    ...cluster,
    crash: () => {
      asOwner(join(postgresPrograms(), 'pg_ctl'), ['stop', '-w', '-m', 'immediate', '-D', join(folder, 'data')]);
    },
    stop: () => stopForGood(cluster, folder),
  };
}

function passingFolder(): string {
  return mkdtempSync(join(tmpdir(), 'ropewalk-'));
}

function stopForGood(cluster: Cluster, folder: string): void {
  cluster.stop();
  rmSync(folder, { recursive: true, force: true });
}

async function startCluster(folder: string, options: readonly string[], wantedPort?: number): Promise<Cluster> {
  const bin = postgresPrograms();
  const data = join(folder, 'data');
  const passwordFile = join(folder, 'password');
  if (!existsSync(join(data, 'PG_VERSION'))) createCluster(bin, folder, data, passwordFile);
  const password = readFileSync(passwordFile, 'utf8').trim();

  const running = runningPort(bin, data);
  const port = running ?? wantedPort ?? (await freePort());
  if (running === undefined) {
    const settings = ['-c', `listen_addresses=${loopback}`, '-c', `port=${port}`, '-c', 'unix_socket_directories=', ...options];
    const log = join(folder, 'postgres.log');
    // pg_ctl -w waits until the server answers; the server outlives it in a session of its own, safe from Ctrl-C.
    const result = asOwner(join(bin, 'pg_ctl'), ['start', '-w', '-t', '60', '-D', data, '-l', log, '-o', settings.map(quoted).join(' ')]);
    if (result.status !== 0) {
      const end = existsSync(log) ? readFileSync(log, 'utf8').trim().split('\n').slice(-3).join('\n') : result.stderr;
      throw new MachineFailure(`PostgreSQL did not start. It says:\n${end}`);
    }
  }
  const ownerFile = join(folder, 'owner');
  const ours = running === undefined || !isAlive(ownerFile);
  if (ours) writeFileSync(ownerFile, String(process.pid));
  return {
    url: (database) => `postgres://${superuser}:${password}@${loopback}:${port}/${database}`,
    ours,
    stop: () => {
      asOwner(join(bin, 'pg_ctl'), ['stop', '-w', '-m', 'fast', '-D', data]);
    },
    isRunning: () => runningPort(bin, data) !== undefined,
    comeBack: async () => {
      await startCluster(folder, options, port);
    },
  };
}

function createCluster(bin: string, folder: string, data: string, passwordFile: string): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  // What an interrupted first start left behind is not a cluster.
  rmSync(data, { recursive: true, force: true });
  writeFileSync(passwordFile, randomBytes(24).toString('hex'), { mode: 0o600 });
  if (isRoot) {
    const { uid, gid } = postgresAccount();
    if (folder.startsWith('/var/lib/ropewalk')) chmodSync('/var/lib/ropewalk', 0o755);
    for (const path of [folder, passwordFile]) chownSync(path, uid, gid);
  }
  const result = asOwner(join(bin, 'initdb'), [
    '-D',
    data,
    '-U',
    superuser,
    '--auth=scram-sha-256',
    `--pwfile=${passwordFile}`,
    '--encoding=UTF8',
    '--locale=C.UTF-8',
  ]);
  if (result.status !== 0) throw new MachineFailure(`PostgreSQL could not create its data folder ${data}: ${result.stderr.trim()}`);
}

/** The port of the server that already runs on this data folder, if one does. */
function runningPort(bin: string, data: string): number | undefined {
  if (asOwner(join(bin, 'pg_ctl'), ['status', '-D', data]).status !== 0) return undefined;
  const port = Number(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[3]);
  return Number.isInteger(port) ? port : undefined;
}

/** Whether the process whose number stands in `file` still runs. */
function isAlive(file: string): boolean {
  try {
    process.kill(Number(readFileSync(file, 'utf8')), 0);
    return true;
  } catch {
    return false;
  }
}

function postgresAccount(): { uid: number; gid: number } {
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((each) => each.startsWith('postgres:'));
  const [, , uid, gid] = line?.split(':') ?? [];
  if (!uid || !gid) throw new MachineFailure('There is no account “postgres” on this machine. Reinstall the package postgresql.');
  return { uid: Number(uid), gid: Number(gid) };
}

function asOwner(program: string, args: readonly string[]): { status: number | null; stderr: string } {
  const [command, all] = isRoot ? ['runuser', ['-u', 'postgres', '--', program, ...args]] : [program, [...args]];
  // The server inherits these streams, so they must not be pipes: reading them would wait for its end.
  const result = spawnSync(command, all, {
    cwd: '/',
    stdio: program.endsWith('pg_ctl') ? 'ignore' : ['ignore', 'ignore', 'pipe'],
    encoding: 'utf8',
  });
  return { status: result.status, stderr: result.stderr ?? '' };
}

function quoted(text: string): string {
  return `'${text}'`;
}
