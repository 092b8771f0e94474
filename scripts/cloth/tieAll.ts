import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { ReadyKnot } from '../../src/contract/clothIndex.ts';
import { packCloth, seenOf } from '../../src/core/cloth/mesh/compact.ts';
import { referenceTying } from '../../src/core/cloth/reference.ts';
import { tieInCloth } from '../../src/core/cloth/tieInCloth.ts';
import { enumerateKnots, type Knot, parseKnot } from '../../src/core/index.ts';
import { knotCode } from '../../src/core/knot/code.ts';
import { namedWords } from '../../src/core/knot/names.ts';
import { measureCloth } from '../../src/core/seen/measure.ts';
import { shownMoves } from '../../src/core/seen/shown.ts';
import { readyFolder } from './readyFolder.ts';

/** What is tied ready: every classic knot to nine moves, and all others that have a name. */
export const readyKnots: readonly Knot[] = [
  ...new Map([...enumerateKnots(9), ...namedWords.map(({ word }) => parseKnot(word))].map((knot) => [knotCode(knot), knot])).values(),
];

/** Ties every `of`th of them from the `part`th on, writes its file, and tells each as it is done. */
export function tiePart(part: number, of: number, told: (code: string, ready: ReadyKnot | string) => void): void {
  readyKnots.forEach((knot, i) => {
    if (i % of !== part) return;
    const code = knotCode(knot);
    const started = performance.now();
    const tied = tieInCloth(referenceTying(knot));
    if (tied.kind !== 'tied') {
      told(code, tied.kind === 'refused' ? tied.why : tied.kind);
      return;
    }
    const bytes = gzipSync(packCloth(seenOf(tied.mesh)), { level: 9 });
    writeFileSync(join(readyFolder, `${code}.bin.gz`), bytes);
    const { attempt, drawnUp, mesh } = tied;
    told(code, {
      bytes: bytes.length,
      seconds: (performance.now() - started) / 1000,
      attempt,
      drawnUp,
      measures: measureCloth(mesh),
      shown: shownMoves(mesh),
    });
  });
}
