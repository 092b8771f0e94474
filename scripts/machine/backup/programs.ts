import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { postgresPrograms } from '../debian.ts';

/** What one of PostgreSQL’s own tools said when it failed. */
export class ToolFailure extends Error {}

/** Runs one of PostgreSQL’s tools on a database. Its secrets go by the environment, where no list of processes shows them. */
export async function onDatabase(url: string, tool: 'pg_dump' | 'pg_restore', args: readonly string[]): Promise<void> {
  const { hostname, port, username, password, pathname, searchParams } = new URL(url);
  const child = spawn(join(postgresPrograms(), tool), args, {
    stdio: ['ignore', 'ignore', 'pipe'],
    env: {
      ...process.env,
      PGHOST: hostname,
      PGPORT: port || '5432',
      PGUSER: decodeURIComponent(username),
      PGPASSWORD: decodeURIComponent(password),
      PGDATABASE: decodeURIComponent(pathname.slice(1)),
      PGCONNECT_TIMEOUT: '10',
      ...(searchParams.has('sslmode') ? { PGSSLMODE: searchParams.get('sslmode') ?? '' } : {}),
    },
  });
  let said = '';
  child.stderr.on('data', (chunk) => {
    said += String(chunk);
  });
  const [status] = (await once(child, 'close')) as [number | null];
  if (status !== 0) throw new ToolFailure(said.trim().split('\n').slice(0, 3).join(' ') || `${tool} ended with ${status}`);
}
