import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { packCloth, seenOf } from '../../src/core/cloth/compact.ts';
import { type ClothMeasures, measureCloth } from '../../src/core/cloth/measure.ts';
import { referenceTying } from '../../src/core/cloth/reference.ts';
import { tieInCloth } from '../../src/core/cloth/tieInCloth.ts';
import { enumerateKnots } from '../../src/core/index.ts';
import { knotCode } from '../../src/core/knot/code.ts';
import { root } from '../machine/paths.ts';

export const readyFolder = join(root, 'public', 'cloth');
export const mostReadyMoves = 8;

/** What is known of a ready mesh beside its bytes. */
export interface ReadyKnot {
  readonly bytes: number;
  readonly seconds: number;
  readonly attempt: number;
  readonly drawnUp: number;
  readonly measures: ClothMeasures;
}

/** Ties every `of`th classic knot from the `part`th on, writes its file, and tells each as it is done. */
export function tiePart(part: number, of: number, told: (code: string, ready: ReadyKnot | string) => void): void {
  enumerateKnots(mostReadyMoves).forEach((knot, i) => {
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
    told(code, { bytes: bytes.length, seconds: (performance.now() - started) / 1000, attempt, drawnUp, measures: measureCloth(mesh) });
  });
}
