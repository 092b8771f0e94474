import { spawnSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { buildIfNeeded } from '../machine/build.ts';
import { startPassingCluster } from '../machine/cluster.ts';
import { ensureBrowser } from '../machine/debian.ts';
import { MachineFailure, runTask } from '../machine/failure.ts';
import { root } from '../machine/paths.ts';

/** `npm test` runs everything; `npm test core` (or another of them) one stage. */
const stages = ['check', 'law', 'words', 'core', 'contract', 'drawing', 'scene', 'islands', 'server', 'browser'] as const;
type Stage = (typeof stages)[number];

const cores = Math.max(2, availableParallelism());

await runTask(async () => {
  const asked = process.argv.slice(2);
  const unknown = asked.filter((name) => !stages.includes(name as Stage));
  if (unknown.length > 0) throw new MachineFailure(`There is no stage “${unknown.join(', ')}”. There are: ${stages.join(', ')}.`);
  const chosen = asked.length > 0 ? stages.filter((stage) => asked.includes(stage)) : stages;

  if (chosen.includes('browser')) ensureBrowser();
  const took = new Map<string, number>();
  const timed = <T>(what: string, run: () => T): T => {
    const from = performance.now();
    const result = run();
    took.set(what, (performance.now() - from) / 1000);
    return result;
  };
  if (chosen.includes('check')) timed('check', check);
  if (chosen.includes('server') || chosen.includes('browser')) timed('build', buildIfNeeded);
  const needsRecords = chosen.some((stage) => stage === 'server' || stage === 'browser');
  const cluster = needsRecords ? await startPassingCluster() : undefined;
  try {
    for (const stage of chosen) {
      if (stage !== 'check') timed(stage, () => runTests(stage, cluster ? { TEST_SERVER_URL: cluster.url('postgres') } : {}));
    }
  } finally {
    cluster?.stop();
  }
  console.log(`\n${[...took].map(([what, seconds]) => `${what} ${seconds.toFixed(0)} s`).join(', ')}.`);
});

/** Lint, format, one-way imports and strict types. */
function check(): void {
  run('npx', ['biome', 'ci', '--error-on-warnings', '.'], {});
  run('npx', ['astro', 'sync'], {}, true);
  run('npx', ['depcruise', '--config', '.dependency-cruiser.mjs', 'src'], {}, true);
  run('npx', ['tsc', '--noEmit'], {});
  run('npx', ['astro', 'check', '--minimumSeverity', 'warning'], {}, true);
  console.log('Lint, formatting, import directions and types are in order.');
}

function runTests(stage: Stage, env: NodeJS.ProcessEnv): void {
  const folder = join(root, 'tests', stage);
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.test.ts'))
    .sort()
    .map((file) => join(folder, file));
  console.log(`\nTests: ${stage}`);
  run(
    process.execPath,
    // Files side by side, one a core, browsers too.
    ['--import', 'tsx', '--import', './tests/support/seed.ts', '--test', '--test-reporter=spec', `--test-concurrency=${cores}`, ...files],
    env,
  );
}

function run(command: string, args: readonly string[], env: NodeJS.ProcessEnv, quiet = false): void {
  const result = spawnSync(command, args, {
    cwd: root,
    stdio: quiet ? ['ignore', 'pipe', 'inherit'] : 'inherit',
    encoding: 'utf8',
    env: { ...process.env, ...env },
  });
  if (result.status === 0) return;
  if (quiet) console.log(result.stdout);
  throw new MachineFailure(`Failed: ${command.split('/').at(-1)} ${args.slice(0, 3).join(' ')}`);
}
