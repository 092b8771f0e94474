import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ReadyKnot } from '../../src/contract/clothIndex.ts';
import { referenceTying } from '../../src/core/cloth/reference.ts';
import { tieInCloth } from '../../src/core/cloth/tieInCloth.ts';
import { enumerateKnots } from '../../src/core/index.ts';
import { knotCode } from '../../src/core/knot/code.ts';
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
    const stood = Object.values(finerSettings).flatMap((setting) => {
      const tied = tieInCloth(referenceTying(knot), setting(knot));
      return tied.kind === 'tied' ? [stanceIn(measureCloth(tied.mesh))] : [];
    });
    told(knotCode(knot), stood);
  });
}

/** How the front of every classic word stands, the mean of all settings, as the core's own table of it. */
export function stancesSource(knots: Readonly<Record<string, ReadyKnot>>): string {
  const lines = classic.flatMap((knot) => {
    const ready = knots[knotCode(knot)];
    if (!ready) return [];
    const all = [stanceIn(ready.measures), ...(ready.finer ?? [])];
    const mean = (key: keyof Stance) => Math.round((10 * all.reduce((sum, each) => sum + each[key], 0)) / all.length) / 10;
    const word = knot.moves.map(({ region, direction }) => region + direction).join(' ');
    return [`  '${word}': [${mean('tiltDeg')}, ${mean('overhangDeg')}],`];
  });
  return `/** Written by \`npm run cloth stances\` from knots tied in cloth: tilt of the front band and overhang, degrees, means of the shipped setting and finer ones. See stance.ts. */
export const simulatedStances: Readonly<Record<string, readonly [tiltDeg: number, overhangDeg: number]>> = {
${lines.join('\n')}
};
`;
}

export function writeStances(knots: Readonly<Record<string, ReadyKnot>>): void {
  writeFileSync(stancesFile, stancesSource(knots));
}

function stanceIn({ tiltDeg, leftMm, rightMm, heightMm }: ClothMeasures): Stance {
  return { tiltDeg, overhangDeg: (Math.atan2((rightMm - leftMm) / 2, heightMm) * 180) / Math.PI };
}
