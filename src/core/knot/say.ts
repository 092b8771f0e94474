import { type Frame, ownRight, regionInFrame } from './frame.ts';
import type { Finish, Knot, Region } from './knot.ts';

const sides: Readonly<Record<Exclude<Region, 'C'>, string>> = { L: 'left', R: 'right' };

const finishes: Readonly<Record<Finish, string>> = {
  tuck: 'down through the front band',
  open: 'let it drop over the front as a panel',
  collar: 'hide what is left under the collar',
};

/**
 * A knot told as the everyday manoeuvres, one a move and the finish last, what is held loose told so, spoken in `frame`:
 * `across the front to the left`, `behind to the right`, `up and out through the throat`.
 */
export function sayKnot(knot: Knot, frame: Frame = ownRight): string[] {
  const moves = knot.moves.map(({ region, direction }) => {
    if (region === 'C') return direction === 'o' ? 'up and out through the throat' : 'over and down through the throat';
    const side = regionInFrame(region, frame);
    const to = side === 'C' ? '' : ` to the ${sides[side]}`;
    return direction === 'i' ? `across the front${to}` : `behind${to}`;
  });
  const told = moves.map((move, i) => (knot.loose && i + 1 >= knot.loose.from ? `loosely ${move}` : move));
  return [...(knot.active === 'narrow' ? ['with the narrow end'] : []), ...told, finishes[knot.finish]];
}
