import { fork } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { clothSourceHash } from '../cloth/sourceHash.ts';
import { type ReadyKnot, readyFolder, tiePart } from '../cloth/tieAll.ts';
import { runTask } from '../machine/failure.ts';

type Told = readonly [code: string, ready: ReadyKnot | string];

/** `npm run cloth` ties every classic knot to eight moves in cloth, on all cores, and keeps the meshes with what they came from. */
await runTask(async () => {
  const [part, of] = process.argv.slice(2).map(Number);
  mkdirSync(readyFolder, { recursive: true });
  if (part !== undefined && of !== undefined) {
    tiePart(part, of, (code, ready) => process.send?.([code, ready]));
    return;
  }
  const cores = availableParallelism();
  const knots: Record<string, ReadyKnot> = {};
  const refused: Record<string, string> = {};
  await Promise.all(
    Array.from(
      { length: cores },
      (_, core) =>
        new Promise<void>((done, failed) => {
          const child = fork(fileURLToPath(import.meta.url), [String(core), String(cores)], { execArgv: ['--import', 'tsx'] });
          child.on('message', ([code, ready]: Told) => {
            if (typeof ready === 'string') refused[code] = ready;
            else knots[code] = ready;
            console.log(code, typeof ready === 'string' ? `refused: ${ready}` : `${ready.seconds.toFixed(1)} s, ${ready.bytes} bytes`);
          });
          child.on('exit', (status) => (status === 0 ? done() : failed(new Error(`One of the cores stopped with ${status}.`))));
        }),
    ),
  );
  const sorted = Object.fromEntries(Object.entries(knots).toSorted(([a], [b]) => a.localeCompare(b, 'en', { numeric: true })));
  const { round } = Math;
  const index = JSON.stringify({ source: clothSourceHash(), refused, knots: sorted }, (_, value) =>
    typeof value === 'number' && !Number.isInteger(value) ? round(100 * value) / 100 : value,
  );
  writeFileSync(join(readyFolder, 'index.json'), `${index}\n`);
  const all = Object.values(sorted);
  console.log(`${all.length} tied, ${Object.keys(refused).length} refused, ${all.reduce((sum, { bytes }) => sum + bytes, 0)} bytes.`);
});
