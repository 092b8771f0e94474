import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ReadyKnot } from '../../src/contract/clothIndex.ts';
import { enumerateKnots } from '../../src/core/index.ts';
import { knotCode } from '../../src/core/knot/code.ts';
import { root } from '../machine/paths.ts';

export const stancesFile = join(root, 'src', 'core', 'tying', 'simulatedStances.ts');

/** How the front stands of every classic word that was tied, as the core's own table of it. */
export function stancesSource(knots: Readonly<Record<string, ReadyKnot>>): string {
  const lines = enumerateKnots(9).flatMap((knot) => {
    const measures = knots[knotCode(knot)]?.measures;
    if (!measures) return [];
    const { tiltDeg, leftMm, rightMm, heightMm } = measures;
    const overhangDeg = (Math.atan2((rightMm - leftMm) / 2, heightMm) * 180) / Math.PI;
    const word = knot.moves.map(({ region, direction }) => region + direction).join(' ');
    return [`  '${word}': [${Math.round(tiltDeg)}, ${Math.round(overhangDeg)}],`];
  });
  return `/** Written by \`npm run cloth\` from the knots it tied: tilt of the front band and overhang, degrees. See stance.ts. */
export const simulatedStances: Readonly<Record<string, readonly [tiltDeg: number, overhangDeg: number]>> = {
${lines.join('\n')}
};
`;
}

export function writeStances(knots: Readonly<Record<string, ReadyKnot>>): void {
  writeFileSync(stancesFile, stancesSource(knots));
}
