import { classic, type Finish, fewestMoves, type Knot, knotFromRegions, type Manner, type Region } from './knot.ts';

const others: Readonly<Record<Region, readonly Region[]>> = {
  L: ['C', 'R'],
  C: ['L', 'R'],
  R: ['L', 'C'],
};

/**
 * Every knot of one manner of at most `maxMoves` moves, fewest moves first. Of the classic
 * ones there are 1, 1, 3, 5, 11, 21, 43 for 3 to 9 moves: legal words start with L, never stay
 * in a region, and end `R L C` or `L R C` so that the tuck has a front band to pass through.
 * Source: Nature 398 (1999) 31; Physica A 276 (2000) 109. Without a tuck there need be no such
 * band, only the last way up through the throat: the same counts, a move earlier.
 */
export function enumerateKnots(maxMoves: number, manner: Manner = classic): Knot[] {
  const knots: Knot[] = [];
  for (let h = fewestMoves[manner.finish]; h <= maxMoves; h++) {
    extend(['L'], h, manner.finish, (regions) => knots.push(knotFromRegions(regions, manner)));
  }
  return knots;
}

function extend(regions: Region[], length: number, finish: Finish, found: (regions: readonly Region[]) => void): void {
  const last = regions[regions.length - 1];
  if (!last) return;
  if (finish === 'tuck' && regions.length === length - 2) {
    if (last !== 'C') found([...regions, last === 'L' ? 'R' : 'L', 'C']);
    return;
  }
  if (finish !== 'tuck' && regions.length === length - 1) {
    if (last !== 'C') found([...regions, 'C']);
    return;
  }
  for (const next of others[last]) {
    regions.push(next);
    extend(regions, length, finish, found);
    regions.pop();
  }
}
