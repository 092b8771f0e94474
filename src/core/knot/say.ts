import { type Frame, ownRight, regionInFrame } from './frame.ts';
import type { Knot, Region } from './knot.ts';

const sides: Readonly<Record<Exclude<Region, 'C'>, string>> = { L: 'left', R: 'right' };

/**
 * A knot told as the everyday manoeuvres, one a move and the tuck last, spoken in `frame`:
 * `across the front to the left`, `behind to the right`, `up and out through the throat`.
 */
export function sayKnot(knot: Knot, frame: Frame = ownRight): string[] {
  const moves = knot.moves.map(({ region, direction }) => {
    if (region === 'C') return direction === 'o' ? 'up and out through the throat' : 'over and down through the throat';
    const side = regionInFrame(region, frame);
    const to = side === 'C' ? '' : ` to the ${sides[side]}`;
    return direction === 'i' ? `across the front${to}` : `behind${to}`;
  });
  return [...moves, 'down through the front band'];
}
