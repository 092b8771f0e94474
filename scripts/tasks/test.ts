import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { readdirSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { buildIfNeeded } from '../machine/build.ts';
import { ensureBrowser } from '../machine/debian.ts';
import { MachineFailure, runTask } from '../machine/failure.ts';
import { root } from '../machine/paths.ts';
import type { Cluster } from '../machine/postgres/cluster.ts';
import { startPassingCluster } from '../machine/postgres/passing.ts';
import { createDatabase, prepareStudio } from '../machine/studio.ts';

/** `npm test` runs everything; `npm test core` (or another of them) one stage. */
const stages = ['check', 'law', 'words', 'core', 'contract', 'drawing', 'scene', 'islands', 'server', 'browser'] as const;
type Stage = (typeof stages)[number];

const cores = Math.max(2, availableParallelism());

/** Stages whose tests touch nothing but their own values: several files can share a process. */
const pure: ReadonlySet<Stage> = new Set(['words', 'core', 'contract', 'drawing', 'scene']);
/** So many processes a core take turns: few enough to start quickly, enough that none is left with all that is slow. */
const batchesACore = 4;

/** Files are tested side by side, one a core; so many more where they wait now and then, for a browser or for a server that starts and ends. */
const waiting: Partial<Readonly<Record<Stage, number>>> = { server: 4, browser: 1 };

/** A file that takes longer hangs: it is ended and counts as failed, and the others go on. */
const longestFileMs = 15 * 60_000;

/** The simulation's typed arrays are indexed by their own counts, so there an element counts as there: its folders have types of their own. */
const countedArrays = ['src/core/cloth', 'src/core/numeric/sparse'] as const;

/** The demo studio as tests copy it. */
const demoDatabase = 'demo';

/** TypeScript as it is, and the same cases drawn every time. */
const asTests = ['--import', 'tsx', '--import', './tests/support/seed.ts'];

await runTask(async () => {
  const asked = process.argv.slice(2);
  const unknown = asked.filter((name) => !stages.includes(name as Stage));
  if (unknown.length > 0) throw new MachineFailure(`There is no stage “${unknown.join(', ')}”. There are: ${stages.join(', ')}.`);
  const chosen = asked.length > 0 ? stages.filter((stage) => asked.includes(stage)) : stages;

  if (chosen.includes('browser')) ensureBrowser();
  const took = new Map<string, number>();
  const timed = async (what: string, run: () => void | Promise<void>): Promise<void> => {
    const from = performance.now();
    await run();
    took.set(what, (performance.now() - from) / 1000);
  };
  if (chosen.includes('check')) await timed('check', check);
  if (chosen.includes('server') || chosen.includes('browser')) await timed('build', buildIfNeeded);
  const needsRecords = chosen.some((stage) => stage === 'server' || stage === 'browser');
  const cluster = needsRecords ? await startPassingCluster() : undefined;
  try {
    const env = cluster ? await recordsOf(cluster) : {};
    for (const stage of chosen) {
      if (stage !== 'check') await timed(stage, () => (pure.has(stage) ? runTogether(stage) : runTests(stage, env)));
    }
  } finally {
    await cluster?.stop();
  }
  console.log(`\n${[...took].map(([what, seconds]) => `${what} ${seconds.toFixed(0)} s`).join(', ')}.`);
});

/** Where the tests find the server, and on it the demo studio laid out once for all of them to copy. */
async function recordsOf(cluster: Cluster): Promise<NodeJS.ProcessEnv> {
  const { owner, app } = cluster.of('postgres');
  await createDatabase(owner, demoDatabase);
  await prepareStudio(cluster.of(demoDatabase));
  return { TEST_OWNER_URL: owner, TEST_APP_URL: app, TEST_DEMO_DATABASE: demoDatabase };
}

/** Lint, format, one-way imports and strict types, side by side. */
async function check(): Promise<void> {
  run('npx', ['astro', 'sync'], {}, true);
  await Promise.all([
    beside('npx', ['biome', 'ci', '--error-on-warnings', '.']),
    beside('npx', ['depcruise', '--config', '.dependency-cruiser.mjs', 'src']),
    beside('npx', ['astro', 'check', '--minimumSeverity', 'warning', '--tsconfig', 'tsconfig.astro.json']),
    ...['.', ...countedArrays].map(types),
  ]);
  console.log('Lint, formatting, import directions and types are in order.');
}

/** Types of one project. What it says of files that belong to another is that one's to say, by its own rules. */
async function types(project: string): Promise<void> {
  const compiler = join(root, 'node_modules', 'typescript-native', 'bin', 'tsc');
  const { status, said } = await heard(process.execPath, [compiler, '-p', project, '--pretty', 'false']);
  if (status === 0) return;
  const isOwn = (line: string) => (countedArrays.find((folder) => line.startsWith(`${folder}/`)) ?? '.') === project;
  const told = said.split('\n').filter((line) => line.includes('error TS'));
  const own = told.filter((line) => isOwn(line) || line.startsWith('error TS'));
  if (told.length > 0 && own.length === 0) return;
  console.log(told.length === 0 ? said : own.join('\n'));
  throw new MachineFailure(`Failed: types of ${project}`);
}

/** Runs a command while others run; unless it is to be told, what it says is shown only where it fails. */
async function beside(command: string, args: readonly string[], isTold = false): Promise<void> {
  const { status, said } = await heard(command, args);
  if (status !== 0 || isTold) console.log(said.trimEnd());
  if (status !== 0) throw new MachineFailure(`Failed: ${command.split('/').at(-1)} ${args.slice(0, 2).join(' ')}`);
}

async function heard(command: string, args: readonly string[]): Promise<{ readonly status: number | null; readonly said: string }> {
  const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += String(chunk)));
  const [status] = (await once(child, 'close')) as [number | null];
  return { status, said };
}

/** Runs a stage’s files in a few processes, one a core at a time: to start one costs as much as most files take. */
async function runTogether(stage: Stage): Promise<void> {
  const files = filesOf(stage);
  const many = Math.min(files.length, cores * batchesACore);
  const batches = Array.from({ length: many }, (_, batch) => files.filter((_, i) => i % many === batch));
  console.log(`\nTests: ${stage}`);
  const all = join(root, 'tests', 'support', 'inOneProcess.ts');
  const run = async () => {
    for (let batch = batches.shift(); batch; batch = batches.shift())
      await beside(process.execPath, [...asTests, '--test-reporter=spec', all, ...batch], true);
  };
  await Promise.all(Array.from({ length: cores }, run));
}

function filesOf(stage: Stage): string[] {
  const folder = join(root, 'tests', stage);
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.test.ts'))
    .sort()
    .map((file) => join(folder, file));
}

function runTests(stage: Stage, env: NodeJS.ProcessEnv): void {
  const files = filesOf(stage);
  console.log(`\nTests: ${stage}`);
  run(
    process.execPath,
    [
      ...asTests,
      '--test',
      '--test-reporter=spec',
      `--test-timeout=${longestFileMs}`,
      `--test-concurrency=${cores + (waiting[stage] ?? 0)}`,
      ...files,
    ],
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
