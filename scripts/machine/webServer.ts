import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { MachineFailure } from './failure.ts';
import { root } from './paths.ts';
import { loopback } from './ports.ts';

export interface WebServer {
  readonly address: string;
  readonly pid: number;
  /** Settles when the server ends by itself, with its exit code. */
  readonly ended: Promise<number | null>;
  readonly stop: () => Promise<void>;
  /** Ends it at once, in the midst of whatever it does. */
  readonly kill: () => Promise<void>;
}

/** A machine that is busy with other things takes its time; one that ends meanwhile is told at once. */
const patienceMs = 120_000;

/** Serves the built application on loopback and waits until it answers. */
export async function startWebServer(port: number, databaseUrl: string, logLevel = 'warn'): Promise<WebServer> {
  const address = `http://${loopback}:${port}`;
  const child = spawn(process.execPath, [join(root, 'dist', 'server', 'shell.mjs')], {
    cwd: root,
    // What it logs is for whoever started it; tests break things on purpose and don’t ask.
    // The channel tells it when this process is gone, however that came about.
    stdio: ['ignore', logLevel === 'silent' ? 'ignore' : 'inherit', 'inherit', 'ipc'],
    // A group of its own: Ctrl-C is passed on in order, not to everything at once.
    detached: true,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: loopback,
      PORT: String(port),
      DATABASE_URL: databaseUrl,
      LOG_LEVEL: logLevel,
      ROPEWALK_BOOK_THREAD: join(root, 'dist', 'server', 'book.mjs'),
    },
  });
  const ended = once(child, 'exit').then(([code]) => code as number | null);
  await answering(address, child);
  return {
    address,
    pid: child.pid ?? 0,
    ended,
    stop: async () => {
      if (child.exitCode === null) child.kill('SIGTERM');
      await ended;
    },
    kill: async () => {
      child.kill('SIGKILL');
      await ended;
    },
  };
}

async function answering(address: string, child: ChildProcess): Promise<void> {
  const until = performance.now() + patienceMs;
  while (performance.now() < until) {
    if (child.exitCode !== null) throw new MachineFailure('The application ended while it was starting.');
    const answer = await fetch(`${address}/api/health`).catch(() => undefined);
    if (answer) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  child.kill('SIGKILL');
  throw new MachineFailure(`The application did not answer at ${address} within ${patienceMs / 1000} seconds.`);
}
