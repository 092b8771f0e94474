import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { MachineFailure } from './failure.ts';
import { root } from './paths.ts';

const stamp = join(root, 'dist', 'built-from');
const inputs = ['src', 'public', 'astro.config.ts', 'package-lock.json', 'tsconfig.json'];

/** Builds the application unless what is built already comes from these very sources. */
export function buildIfNeeded(): void {
  const sources = fingerprint();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === sources) return;
  console.log('Building …');
  const result = spawnSync('npx', ['astro', 'build'], {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' },
  });
  if (result.status !== 0) throw new MachineFailure(`The build failed:\n${result.stdout}\n${result.stderr}`);
  writeFileSync(stamp, sources);
}

function fingerprint(): string {
  const hash = createHash('sha256');
  for (const input of inputs) {
    for (const file of filesUnder(join(root, input))) hash.update(file).update(readFileSync(file));
  }
  return hash.digest('hex');
}

function filesUnder(path: string): string[] {
  if (!existsSync(path)) return [];
  if (statSync(path).isFile()) return [path];
  const entries = readdirSync(path, { withFileTypes: true, recursive: true }).filter((entry) => entry.isFile());
  return entries.map((entry) => join(entry.parentPath, entry.name)).sort();
}
