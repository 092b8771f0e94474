import { type Frame, ownRight, regionInFrame } from './frame.ts';
import type { Finish, Knot, Region } from './knot.ts';
import { type Pass, passesOf } from './passes.ts';

export type Side = 'left' | 'right' | 'centre';

/** One move to be made, told in a frame: left and right are those of whoever looks. */
export interface Step {
  /** In shorthand, as `Li`. */
  readonly move: string;
  readonly to: Side;
  readonly pass: Pass['side'];
  /** Which side of the cloth is seen while the end lies there. */
  readonly shows: 'face' | 'seam';
  readonly text: string;
}

const sides: Readonly<Record<Region, Side>> = { L: 'left', R: 'right', C: 'centre' };

const finishes: Readonly<Record<Finish, string>> = {
  tuck: 'down through the front band',
  open: 'let it drop over the front as a panel',
  collar: 'hide what is left under the collar',
};

/**
 * The moves one by one in `frame`: shorthand, side, pass, the side of the cloth that shows, and words.
 * A move toward the shirt passes in front and leaves the face showing; one away from it passes behind and
 * leaves the seam side showing.
 */
export function stepsOf(knot: Knot, frame: Frame = ownRight): Step[] {
  return passesOf(knot).map(({ region, direction, side, isLoose }) => {
    const seen = regionInFrame(region, frame);
    const said = saysMove(sides[seen], side);
    return {
      move: seen + direction,
      to: sides[seen],
      pass: side,
      shows: side === 'front' ? 'face' : 'seam',
      text: isLoose ? `loosely ${said}` : said,
    };
  });
}

function saysMove(to: Side, pass: Pass['side']): string {
  if (to === 'centre') return pass === 'behind' ? 'up and out through the throat' : 'over and down through the throat';
  return `${pass === 'front' ? 'across the front' : 'behind'} to the ${to}`;
}

/** All that is done, line by line: which end ties where it is the tail, every move, and the finish. */
export function tyingInWords(knot: Knot, frame: Frame = ownRight): string[] {
  return [...(knot.active === 'narrow' ? ['with the tail'] : []), ...stepsOf(knot, frame).map(({ text }) => text), finishes[knot.finish]];
}
