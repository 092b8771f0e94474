import type { Knot } from '../knot/knot.ts';
import { simulatedTilts } from './simulatedTilts.ts';

/** Fewest last moves that a longer word has to share with a simulated one to be taken to lean like it. */
const leastShared = 3;

/**
 * How the front band of a tucked knot stands against level, degrees: positive where it rises to the wearer's right,
 * the working end having started on his right. Simulated for words to nine moves; a longer one is taken to lean as
 * those do that end in the same moves, as many of them as are shared, since it is the last turns that carry the band.
 * `undefined` where no band crosses the front.
 */
export function tiltOf({ moves, finish }: Pick<Knot, 'moves' | 'finish'>): number | undefined {
  if (finish === 'open') return undefined;
  const word = moves.map(({ region, direction }) => region + direction);
  const exact = simulatedTilts[word.join(' ')];
  if (exact !== undefined) return exact;
  for (let shared = word.length - 1; shared >= leastShared; shared--) {
    const mean = meanByEnding.get(word.slice(-shared).join(' '));
    if (mean !== undefined) return mean;
  }
  return 0;
}

/** Mean tilt of the simulated words by every ending of theirs. */
const meanByEnding: ReadonlyMap<string, number> = (() => {
  const found = new Map<string, number[]>();
  for (const [word, tilt] of Object.entries(simulatedTilts)) {
    const moves = word.split(' ');
    for (let shared = leastShared; shared <= moves.length; shared++) {
      const ending = moves.slice(-shared).join(' ');
      found.set(ending, [...(found.get(ending) ?? []), tilt]);
    }
  }
  return new Map([...found].map(([ending, tilts]) => [ending, tilts.reduce((sum, tilt) => sum + tilt, 0) / tilts.length]));
})();
