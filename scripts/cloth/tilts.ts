import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ReadyKnot } from '../../src/contract/clothIndex.ts';
import { enumerateKnots } from '../../src/core/index.ts';
import { knotCode } from '../../src/core/knot/code.ts';
import { root } from '../machine/paths.ts';

export const tiltsFile = join(root, 'src', 'core', 'tying', 'simulatedTilts.ts');

/** The front band's tilt of every classic word that was tied, as the core's own table of it. */
export function tiltsSource(knots: Readonly<Record<string, ReadyKnot>>): string {
  const lines = enumerateKnots(9).flatMap((knot) => {
    const tilt = knots[knotCode(knot)]?.measures.tiltDeg;
    return tilt === undefined
      ? []
      : [`  '${knot.moves.map(({ region, direction }) => region + direction).join(' ')}': ${Math.round(tilt)},`];
  });
  return `/** Written by \`npm run cloth\` from the knots it tied: tilt of the front band, degrees. See tilt.ts. */
export const simulatedTilts: Readonly<Record<string, number>> = {
${lines.join('\n')}
};
`;
}

export function writeTilts(knots: Readonly<Record<string, ReadyKnot>>): void {
  writeFileSync(tiltsFile, tiltsSource(knots));
}
