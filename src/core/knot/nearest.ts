import { editDistance } from './editDistance.ts';
import { enumerateKnots } from './enumerate.ts';
import { formatKnot } from './format.ts';
import { classic, fewestMoves, type Knot, type Manner, type Region } from './knot.ts';

/** A little longer or shorter than what was written may be what was meant. */
const reach = 1;
const most = 11;

/**
 * The legal words nearest to one that is none, by how many moves would have to be changed, put
 * in or left out (edit distance over the regions; the directions follow from them). Nearest
 * first, then the shorter.
 */
export function nearestKnots(regions: readonly Region[], manner: Manner = classic, count = 3): Knot[] {
  const fewest = fewestMoves[manner.finish];
  const longest = Math.min(most, Math.max(fewest, regions.length + reach));
  return enumerateKnots(longest, manner)
    .filter(({ moves }) => moves.length >= Math.min(fewest, regions.length - reach))
    .map((knot) => ({
      knot,
      distance: editDistance(
        regions,
        knot.moves.map(({ region }) => region),
      ),
    }))
    .toSorted(
      (a, b) =>
        a.distance - b.distance || a.knot.moves.length - b.knot.moves.length || formatKnot(a.knot).localeCompare(formatKnot(b.knot)),
    )
    .slice(0, count)
    .map(({ knot }) => knot);
}
