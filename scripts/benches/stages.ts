import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { MachineFailure } from '../machine/failure.ts';
import { root } from '../machine/paths.ts';
import { report } from './report.ts';

/** How long each stage of `npm test` takes, against all of it. */
export function benchStages(): void {
  const { stdout, status } = spawnSync(process.execPath, [join(root, 'scripts', 'run.mjs'), 'test'], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1e9,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (status !== 0) throw new MachineFailure('A stage failed: npm test says which.');
  const told = stdout.trim().split('\n').at(-1) ?? '';
  const stages = [...told.matchAll(/(\w+) (\d+) s/g)].map(([, name = '', seconds]) => ({ name, seconds: Number(seconds) }));
  const whole = stages.reduce((sum, { seconds }) => sum + seconds, 0);
  report([
    ...stages.map(({ name, seconds }) => [`tests: ${name}`, `${seconds} s`, `${((100 * seconds) / whole).toFixed(0)}% of all`] as const),
    ['tests, all of them', `${whole} s`, `${(whole / 60).toFixed(1)} minutes`] as const,
  ]);
}
