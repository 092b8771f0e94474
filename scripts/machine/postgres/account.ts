import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { chownSync, readFileSync } from 'node:fs';
import { MachineFailure } from '../failure.ts';

export const isRoot = process.getuid?.() === 0;

/** Runs one of PostgreSQL’s programs. It refuses to run as root, so there its own account runs it. */
export async function asOwner(
  program: string,
  args: readonly string[],
): Promise<{ readonly status: number | null; readonly stderr: string }> {
  const [command, all] = isRoot ? ['runuser', ['-u', 'postgres', '--', program, ...args]] : [program, [...args]];
  // The server inherits these streams, so they must not be pipes: reading them would wait for its end.
  const child = spawn(command, all, { cwd: '/', stdio: ['ignore', 'ignore', program.endsWith('pg_ctl') ? 'ignore' : 'pipe'] });
  let stderr = '';
  child.stderr?.on('data', (chunk) => {
    stderr += String(chunk);
  });
  const [status] = (await once(child, 'close')) as [number | null];
  return { status, stderr };
}

/** Hands what was made to the account that PostgreSQL runs as. */
export function toOwner(...paths: readonly string[]): void {
  if (!isRoot) return;
  const { uid, gid } = postgresAccount();
  for (const path of paths) chownSync(path, uid, gid);
}

function postgresAccount(): { uid: number; gid: number } {
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((each) => each.startsWith('postgres:'));
  const [, , uid, gid] = line?.split(':') ?? [];
  if (!uid || !gid) throw new MachineFailure('There is no account “postgres” on this machine. Reinstall the package postgresql.');
  return { uid: Number(uid), gid: Number(gid) };
}
