import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ReadyKnot } from '../../src/contract/clothIndex.ts';
import { referenceTying } from '../../src/core/cloth/reference.ts';
import { usualSetting } from '../../src/core/cloth/simulate.ts';
import { tieInCloth } from '../../src/core/cloth/tieInCloth.ts';
import { enumerateKnots } from '../../src/core/index.ts';
import { knotCode } from '../../src/core/knot/code.ts';
import { leanWord } from '../../src/core/plan/criteria/symmetry.ts';
import { type ClothMeasures, measureCloth } from '../../src/core/seen/measure.ts';
import type { Stance } from '../../src/core/tying/stance.ts';
import { root } from '../machine/paths.ts';
import { finerSettings } from './settings.ts';

export const stancesFile = join(root, 'src', 'core', 'tying', 'simulatedStances.ts');

const classic = enumerateKnots(9);

/** Ties every `of`th classic word from the `part`th on on a finer grid and in more steps, and tells how it stood after each. */
export function tieFiner(part: number, of: number, told: (code: string, finer: readonly Stance[]) => void): void {
  classic.forEach((knot, i) => {
    if (i % of !== part) return;
    const request = referenceTying(knot);
    const stood = Object.values(finerSettings).flatMap((setting) => {
      const tied = tieInCloth(request, setting(usualSetting(request)));
      return tied.kind === 'tied' ? [stanceIn(measureCloth(tied.mesh))] : [];
    });
    told(knotCode(knot), stood);
  });
}

/** How the front of every classic word stands as it is shown, as the core's own table of it: words and picture agree. */
export function stancesSource(knots: Readonly<Record<string, ReadyKnot>>): string {
  const lines = classic.flatMap((knot) => {
    const ready = knots[knotCode(knot)];
    if (!ready) return [];
    const { tiltDeg, overhangDeg } = stanceIn(ready.measures);
    const tenth = (degrees: number) => Math.round(10 * degrees) / 10;
    const word = knot.moves.map(({ region, direction }) => region + direction).join(' ');
    return [`  '${word}': [${tenth(tiltDeg)}, ${tenth(overhangDeg)}],`];
  });
  return `/** Written by \`npm run cloth\` from the ready knots in cloth: tilt of the front band and overhang, degrees. See stance.ts. */
export const simulatedStances: Readonly<Record<string, readonly [tiltDeg: number, overhangDeg: number]>> = {
${lines.join('\n')}
};
`;
}

/** How far finer settings move the tilt of the classic words, degrees: on average, and of how many across the line of a word for it. */
export function tellFiner(knots: Readonly<Record<string, ReadyKnot>>): void {
  const moved = Object.values(knots).flatMap(({ measures, finer = [] }) =>
    finer.map(({ tiltDeg }) => ({ by: Math.abs(tiltDeg - measures.tiltDeg), other: leanWord(tiltDeg) !== leanWord(measures.tiltDeg) })),
  );
  const mean = moved.reduce((sum, { by }) => sum + by, 0) / moved.length;
  console.log(
    `Tilt moved by ${mean.toFixed(1)}° on average; ${moved.filter(({ other }) => other).length} of ${moved.length} by another word.`,
  );
}

export function writeStances(knots: Readonly<Record<string, ReadyKnot>>): void {
  writeFileSync(stancesFile, stancesSource(knots));
}

function stanceIn({ tiltDeg, leftMm, rightMm, heightMm }: ClothMeasures): Stance {
  return { tiltDeg, overhangDeg: (Math.atan2((rightMm - leftMm) / 2, heightMm) * 180) / Math.PI };
}
