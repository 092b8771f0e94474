import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gunzipSync } from 'node:zlib';
import type { ClothIndex, ReadyKnot, ReadySteps, StepsIndex } from '../../src/contract/clothIndex.ts';
import type { Stance } from '../../src/core/tying/stance.ts';
import { onAllCores } from '../cloth/allCores.ts';
import { writeAtlas } from '../cloth/atlas.ts';
import { type Calibrated, calibratePart, tellCalibration } from '../cloth/calibrate.ts';
import { type CheckedStep, checkSteps } from '../cloth/checkSteps.ts';
import { type GalleryRow, paintRows, writeGallery } from '../cloth/gallery.ts';
import { writeKernel } from '../cloth/kernel.ts';
import { readyFolder, stepsFolder } from '../cloth/readyFolder.ts';
import { type Refitted, refitPart, tellRefit } from '../cloth/refit.ts';
import { settleSteps } from '../cloth/settleSteps.ts';
import { clothSourceHash } from '../cloth/sourceHash.ts';
import { tellFiner, tieFiner, writeStances } from '../cloth/stances.ts';
import { type Studied, studyPart, tellStudy } from '../cloth/study.ts';
import { tiePart } from '../cloth/tieAll.ts';
import { MachineFailure, runTask } from '../machine/failure.ts';

type Told<What> = (told: What) => void;
type Ready = readonly [code: string, ready: ReadyKnot | string];
type Stood = readonly [code: string, finer: readonly Stance[]];

const indexFile = join(readyFolder, 'index.json');
const self = fileURLToPath(import.meta.url);

/** Each kind of work: one core's part of it, and what is made of all that the cores tell. */
const kinds: Readonly<Record<string, { part?: (part: number, of: number, told: Told<unknown>) => void; all: () => Promise<void> }>> = {
  ready: {
    part: (part, of, told: Told<Ready>) => tiePart(part, of, (code, ready) => told([code, ready])),
    all: tieReady,
  },
  stances: {
    part: (part, of, told: Told<Stood>) => tieFiner(part, of, (code, finer) => told([code, finer])),
    all: tieAgain,
  },
  steps: {
    part: (part, of, told: Told<readonly [string, ReadySteps]>) => settleSteps(part, of, (code, ready) => told([code, ready])),
    all: stepsReady,
  },
  'check-steps': { part: checkSteps, all: async () => tellChecked(await gathered<CheckedStep>('check-steps')) },
  gallery: { part: paintRows, all: async () => writeGallery(await gathered<GalleryRow>('gallery'), process.argv[3]) },
  study: { part: studyPart, all: async () => tellStudy(await gathered<Studied>('study')) },
  calibrate: { part: calibratePart, all: async () => tellCalibration(await gathered<Calibrated>('calibrate')) },
  refit: { part: refitPart, all: async () => tellRefit(await gathered<Refitted>('refit')) },
  kernel: { all: writeKernel },
};

/**
 * `npm run cloth` ties every ready knot in cloth, on all cores, and keeps meshes and small pictures with what they came
 * from; `npm run cloth steps` settles every step of the named ones, and `npm run cloth check-steps` holds those of every classic knot to
 * nine moves in three ties to their words; after the first `npm run cloth stances` ties the classic ones again under finer settings, to tell how far that moves how
 * they stand. `npm run cloth study` ties the named words on finer grids and in more steps, and tells what that changes;
 * `npm run cloth gallery` paints them from three sides in three ties, and `npm run cloth gallery FOLDER` before them the ready meshes of a folder;
 * `npm run cloth calibrate` ties two knots that real ties were handled of with gentler and harder hands, and tells which come nearest;
 * `npm run cloth kernel` compiles what keeps cloth off cloth ahead, anew after any change of it;
 * `npm run cloth refit` ties a grid of words, blades, thicknesses and starts, and tells how near the formulas come to it.
 */
await runTask(async () => {
  const [name = 'ready', part, of] = process.argv.slice(2);
  const kind = kinds[name];
  if (!kind) throw new MachineFailure(`There is no “${name}” to do: ${Object.keys(kinds).join(', ')}.`);
  if (part !== undefined && of !== undefined) kind.part?.(Number(part), Number(of), (told) => process.send?.(told));
  else await kind.all();
});

async function gathered<What>(kind: string): Promise<What[]> {
  const all: What[] = [];
  await onAllCores<What>(self, [kind], (told) => all.push(told));
  return all;
}

function tellChecked(all: readonly CheckedStep[]): void {
  const wrong = all.filter(({ faults }) => faults.length > 0);
  for (const { step, faults } of wrong) console.log(`${step}: ${faults.join(', ')}`);
  console.log(`${all.length} steps checked, ${wrong.length} with errors.`);
}

async function tieReady(): Promise<void> {
  mkdirSync(readyFolder, { recursive: true });
  const before = existsSync(indexFile) ? (JSON.parse(readFileSync(indexFile, 'utf8')) as ClothIndex).knots : {};
  const meshBefore = new Map(Object.keys(before).map((code) => [code, meshBytes(code)]));
  const knots: Record<string, ReadyKnot> = {};
  const refused: Record<string, string> = {};
  await onAllCores<Ready>(self, ['ready'], ([code, ready]) => {
    if (typeof ready === 'string') refused[code] = ready;
    else knots[code] = kept(code, ready);
    console.log(code, typeof ready === 'string' ? `refused: ${ready}` : `${ready.seconds.toFixed(1)} s, ${ready.bytes} bytes`);
  });
  const sorted = Object.fromEntries(Object.entries(knots).toSorted(([a], [b]) => a.localeCompare(b, 'en', { numeric: true })));
  write({ source: clothSourceHash(), refused, knots: sorted, atlas: writeAtlas(Object.keys(sorted)) });
  const all = Object.values(sorted);
  console.log(`${all.length} tied, ${Object.keys(refused).length} refused, ${all.reduce((sum, { bytes }) => sum + bytes, 0)} bytes.`);

  /** How a mesh that came out byte for byte as before stood in finer settings still holds. */
  function kept(code: string, ready: ReadyKnot): ReadyKnot {
    const finer = before[code]?.finer;
    return finer && meshBefore.get(code) === meshBytes(code) ? { ...ready, finer } : ready;
  }
}

function meshBytes(code: string): string {
  const file = join(readyFolder, `${code}.bin.gz`);
  return existsSync(file) ? gunzipSync(readFileSync(file)).toString('base64') : '';
}

async function stepsReady(): Promise<void> {
  mkdirSync(stepsFolder, { recursive: true });
  const all = new Map<string, ReadySteps>();
  await onAllCores<readonly [string, ReadySteps]>(self, ['steps'], ([code, ready]) => {
    all.set(code, ready);
    console.log(code, `${ready.seconds.toFixed(1)} s, ${ready.bytes} bytes`);
  });
  const knots = Object.fromEntries([...all].toSorted(([a], [b]) => a.localeCompare(b, 'en', { numeric: true })));
  const index: StepsIndex = { source: clothSourceHash('steps'), knots };
  writeFileSync(join(stepsFolder, 'index.json'), `${rounded(index)}\n`);
  console.log(`${all.size} knots, ${[...all.values()].reduce((sum, { bytes }) => sum + bytes, 0)} bytes.`);
}

async function tieAgain(): Promise<void> {
  const index = JSON.parse(readFileSync(indexFile, 'utf8')) as ClothIndex;
  if (index.source !== clothSourceHash()) throw new MachineFailure('The ready knots were tied by other code: run `npm run cloth` first.');
  const stood = new Map(await gathered<Stood>('stances'));
  const knots = Object.fromEntries(
    Object.entries(index.knots).map(([code, ready]) => {
      const finer = stood.get(code);
      return [code, finer ? { ...ready, finer } : ready];
    }),
  );
  write({ ...index, knots });
  tellFiner(knots);
  console.log(`${stood.size} tied again, ${[...stood.values()].flat().length} times in all.`);
}

/** Keeps the index, and with it the core's table of how knots stand, which is the index's. */
function write(index: ClothIndex): void {
  const text = rounded(index);
  writeFileSync(indexFile, `${text}\n`);
  writeStances((JSON.parse(text) as ClothIndex).knots);
}

function rounded(index: ClothIndex | StepsIndex): string {
  return JSON.stringify(index, (_, value) => (typeof value === 'number' ? Math.round(100 * value) / 100 : value));
}
