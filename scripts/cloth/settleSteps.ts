import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { ReadySteps } from '../../src/contract/clothIndex.ts';
import { referenceSteps } from '../../src/core/cloth/reference.ts';
import { packSequence } from '../../src/core/cloth/steps/sequence.ts';
import { wholeSequence } from '../../src/core/cloth/steps/wholeSequence.ts';
import { type Knot, parseKnot } from '../../src/core/index.ts';
import { knotCode } from '../../src/core/knot/code.ts';
import { namedWords } from '../../src/core/knot/names.ts';
import { stepsFolder } from './readyFolder.ts';

/** Every knot that has a name. */
export const knotsWithSteps: readonly Knot[] = namedWords.map(({ word }) => parseKnot(word));

/** Settles all steps of every `of`th of them from the `part`th on, writes its file, and tells each as it is done. */
export function settleSteps(part: number, of: number, told: (code: string, ready: ReadySteps) => void): void {
  knotsWithSteps.forEach((knot, i) => {
    if (i % of !== part) return;
    const code = knotCode(knot);
    const started = performance.now();
    const bytes = gzipSync(packSequence(wholeSequence(referenceSteps(knot))), { level: 9 });
    writeFileSync(join(stepsFolder, `${code}.bin.gz`), bytes);
    told(code, { bytes: bytes.length, seconds: (performance.now() - started) / 1000 });
  });
}
