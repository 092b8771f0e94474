import { performance } from 'node:perf_hooks';
import { type LearnRecord, learn } from '../../src/core/index.ts';
import { invert } from '../../src/core/numeric/sparse/dense.ts';
import { SimulatedStudio, type Visit } from '../proof/simulatedStudio.ts';
import { report } from './report.ts';

const sizes = { clients: 5000, ties: 2000, knots: 85, people: 12 } as const;
const records = 50_000;
const asked = 5000;
/** As many ties as a client wears. */
const ownTies = 3;

/** A book of 50 000 tyings: learnt from, and asked; against inverting a bare matrix of the size that is left to invert. */
export async function benchFitBook(): Promise<void> {
  const studio = new SimulatedStudio(5, sizes);
  const recordOf = (visit: Visit): LearnRecord => ({
    stylist: `${visit.person}`,
    client: `${visit.client}`,
    tie: `${visit.tie}`,
    knot: `${visit.knot}`,
    takeUpMm: studio.formulaTakeUpMm(visit),
    tipErrorMm: studio.tied(visit).writtenMm,
    dropMeasured: false,
  });
  // Most clients wear ties of their own, and now and then one of the studio’s.
  const own = (visit: Visit, i: number): Visit =>
    i % 10 < 8 ? { ...visit, tie: (visit.client * ownTies + (i % ownTies)) % sizes.ties } : visit;
  for (const [what, of] of [
    ['wardrobes of their own', own],
    ['any tie on anyone', (visit: Visit) => visit],
  ] as const) {
    const all = Array.from({ length: records }, (_, i) => recordOf(of(studio.visit(), i)));
    const heapBefore = process.memoryUsage();
    const begun = performance.now();
    const book = learn(all);
    const learnt = (performance.now() - begun) / 1000;
    const { arrayBuffers, heapUsed } = process.memoryUsage();
    const megabytes = (arrayBuffers + heapUsed - heapBefore.arrayBuffers - heapBefore.heapUsed) / 1e6;
    const from = performance.now();
    for (let i = 0; i < asked; i++) book.predict(all[(i * 7) % records] as LearnRecord);
    const each = (performance.now() - from) / asked;
    const bare = inverting(1000) * (book.inverted / 1000) ** 3;
    report([
      [`50 000 tyings, ${what}`, `${learnt.toFixed(1)} s`, `${(learnt / bare).toFixed(1)} × inverting ${book.inverted} bare rows`],
      ['  a prediction with its band', `${(1000 * each).toFixed(0)} µs`, 'at most 1000'],
      ['  held in memory', `${megabytes.toFixed(0)} MB`, ''],
      ['  taken for blunders', `${book.blunders.length}`, 'of some 750 that were made'],
    ]);
  }
}

/** Seconds to invert so many rows. */
function inverting(size: number): number {
  const matrix = new Float64Array(size * size);
  for (let i = 0; i < size; i++) {
    for (let j = 0; j < i; j++) matrix[i * size + j] = Math.sin(i * j);
    matrix[i * size + i] = size;
  }
  const begun = performance.now();
  invert(matrix, size);
  return (performance.now() - begun) / 1000;
}
