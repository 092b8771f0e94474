import { type Knot, knotFromRegions, type Region } from './knot.ts';

const others: Readonly<Record<Region, readonly Region[]>> = {
  L: ['C', 'R'],
  C: ['L', 'R'],
  R: ['L', 'C'],
};

/** The fewest moves that leave a fresh front band for the tuck. */
export const fewestMoves = 3;

/**
 * Every classic knot of at most `maxMoves` moves, fewest moves first: 1, 1, 3, 5, 11, 21,
 * 43 of them for 3 to 9 moves. Legal words start with L, never stay in a region, and end
 * `R L C` or `L R C` so that the tuck has a front band to pass through.
 * Source: Nature 398 (1999) 31; Physica A 276 (2000) 109.
 */
export function enumerateKnots(maxMoves: number): Knot[] {
  const knots: Knot[] = [];
  for (let h = fewestMoves; h <= maxMoves; h++) {
    extend(['L'], h, (regions) => knots.push(knotFromRegions(regions)));
  }
  return knots;
}

function extend(regions: Region[], length: number, found: (regions: readonly Region[]) => void): void {
  if (regions.length === length - 2) {
    const last = regions[regions.length - 1];
    if (last === 'C') return;
    found([...regions, last === 'L' ? 'R' : 'L', 'C']);
    return;
  }
  const last = regions[regions.length - 1];
  if (!last) return;
  for (const next of others[last]) {
    regions.push(next);
    extend(regions, length, found);
    regions.pop();
  }
}
