import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { ClothIndex, ReadyKnot } from '../../src/contract/clothIndex.ts';
import { onAllCores } from '../cloth/allCores.ts';
import { writeAtlas } from '../cloth/atlas.ts';
import { readyFolder } from '../cloth/readyFolder.ts';
import { clothSourceHash } from '../cloth/sourceHash.ts';
import { writeStances } from '../cloth/stances.ts';
import { type Studied, studyPart, tellStudy } from '../cloth/study.ts';
import { tiePart } from '../cloth/tieAll.ts';
import { runTask } from '../machine/failure.ts';

type Told = readonly [code: string, ready: ReadyKnot | string];

/**
 * `npm run cloth` ties every ready knot in cloth, on all cores, and keeps meshes and small pictures with what they came
 * from. `npm run cloth study` ties the named words on finer grids and in more steps, and tells what that changes.
 */
await runTask(async () => {
  const [kind = 'ready', part, of] = process.argv.slice(2);
  const self = fileURLToPath(import.meta.url);
  if (part !== undefined && of !== undefined) {
    if (kind === 'study') studyPart(Number(part), Number(of), (studied) => process.send?.(studied));
    else tiePart(Number(part), Number(of), (code, ready) => process.send?.([code, ready]));
    return;
  }
  if (kind === 'study') {
    const all: Studied[] = [];
    await onAllCores<Studied>(self, [kind], (studied) => all.push(studied));
    tellStudy(all);
    return;
  }
  mkdirSync(readyFolder, { recursive: true });
  const knots: Record<string, ReadyKnot> = {};
  const refused: Record<string, string> = {};
  await onAllCores<Told>(self, [kind], ([code, ready]) => {
    if (typeof ready === 'string') refused[code] = ready;
    else knots[code] = ready;
    console.log(code, typeof ready === 'string' ? `refused: ${ready}` : `${ready.seconds.toFixed(1)} s, ${ready.bytes} bytes`);
  });
  const sorted = Object.fromEntries(Object.entries(knots).toSorted(([a], [b]) => a.localeCompare(b, 'en', { numeric: true })));
  const index: ClothIndex = { source: clothSourceHash(), refused, knots: sorted, atlas: writeAtlas(Object.keys(sorted)) };
  const text = JSON.stringify(index, (_, value) => (typeof value === 'number' ? Math.round(100 * value) / 100 : value));
  writeStances(sorted);
  writeFileSync(join(readyFolder, 'index.json'), `${text}\n`);
  const all = Object.values(sorted);
  console.log(`${all.length} tied, ${Object.keys(refused).length} refused, ${all.reduce((sum, { bytes }) => sum + bytes, 0)} bytes.`);
});
