import type { Knot } from '../knot/knot.ts';
import { simulatedStances } from './simulatedStances.ts';

/** How the front of a knot stands, degrees; the working end having started on the wearer's right. */
export interface Stance {
  /** Of the front band against level: positive where it rises to the wearer's right. */
  readonly tiltDeg: number;
  /** Of the line from the middle of its bottom to the middle of its widest against upright: positive toward the wearer's right. */
  readonly overhangDeg: number;
}

/** Fewest last moves that a longer word has to share with a simulated one to be taken to lean like it. */
const leastShared = 3;
const upright: Stance = { tiltDeg: 0, overhangDeg: 0 };

/**
 * The stance of a tucked knot, simulated for words to nine moves; a longer one is taken to stand as those do that end
 * in the same moves, as many of them as are shared, since it is the last turns that carry the band. `undefined` where
 * no band crosses the front.
 */
export function stanceOf({ moves, finish }: Pick<Knot, 'moves' | 'finish'>): Stance | undefined {
  if (finish === 'open') return undefined;
  const word = moves.map(({ region, direction }) => region + direction);
  const exact = simulatedStances[word.join(' ')];
  if (exact) return stance(exact);
  for (let shared = word.length - 1; shared >= leastShared; shared--) {
    const mean = meanByEnding.get(word.slice(-shared).join(' '));
    if (mean) return mean;
  }
  return upright;
}

function stance([tiltDeg, overhangDeg]: readonly [number, number]): Stance {
  return { tiltDeg, overhangDeg };
}

/** Mean stance of the simulated words by every ending of theirs. */
const meanByEnding: ReadonlyMap<string, Stance> = (() => {
  const found = new Map<string, Stance[]>();
  for (const [word, simulated] of Object.entries(simulatedStances)) {
    const moves = word.split(' ');
    for (let shared = leastShared; shared <= moves.length; shared++) {
      const ending = moves.slice(-shared).join(' ');
      found.set(ending, [...(found.get(ending) ?? []), stance(simulated)]);
    }
  }
  const mean = (all: readonly Stance[], key: keyof Stance) => all.reduce((sum, each) => sum + each[key], 0) / all.length;
  return new Map([...found].map(([ending, all]) => [ending, { tiltDeg: mean(all, 'tiltDeg'), overhangDeg: mean(all, 'overhangDeg') }]));
})();
