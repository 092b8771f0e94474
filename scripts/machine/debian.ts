import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { MachineFailure } from './failure.ts';

const postgresRoot = '/usr/lib/postgresql';

/** The folder of PostgreSQL's server programs, installed first where that is missing and allowed. */
export function postgresPrograms(): string {
  const found = findPostgres();
  if (found) return found;
  installDebian(['postgresql']);
  const installed = findPostgres();
  if (!installed) throw new MachineFailure(`PostgreSQL was installed, but its server is not under ${postgresRoot}.`);
  return installed;
}

function findPostgres(): string | undefined {
  if (!existsSync(postgresRoot)) return undefined;
  return readdirSync(postgresRoot)
    .sort((a, b) => Number(b) - Number(a))
    .map((version) => join(postgresRoot, version, 'bin'))
    .find((bin) => existsSync(join(bin, 'initdb')) && existsSync(join(bin, 'postgres')));
}

export const chromium = '/usr/bin/chromium';
export const chromedriver = '/usr/bin/chromedriver';

/** Makes sure that the browser and its driver are there. */
export function ensureBrowser(): void {
  if (!existsSync(chromium) || !existsSync(chromedriver)) installDebian(['chromium', 'chromium-driver']);
}

function installDebian(packages: readonly string[]): void {
  const command = `apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (process.getuid?.() !== 0) {
    throw new MachineFailure(`Missing on this machine: ${packages.join(', ')}. Install with: sudo apt-get update && sudo ${command}`);
  }
  console.log(`Installing ${packages.join(', ')}…`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const updated = spawnSync('apt-get', ['update', '-qq'], { stdio: ['ignore', 'ignore', 'inherit'], env });
  const [program = '', ...rest] = command.split(' ');
  const installed = spawnSync(program, rest, { stdio: ['ignore', 'ignore', 'inherit'], env });
  if (updated.status !== 0 || installed.status !== 0) {
    throw new MachineFailure(`Installing ${packages.join(', ')} failed. Try by hand: apt-get update && ${command}`);
  }
}
