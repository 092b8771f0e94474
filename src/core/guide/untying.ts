import { regionInFrame } from '../knot/frame.ts';
import type { Knot } from '../knot/knot.ts';
import { type Pass, passesOf } from '../knot/passes.ts';
import { knotProperties } from '../knot/properties.ts';
import { endsOf } from './ends.ts';
import { frameFrom, type Seat, sideFrom } from './seat.ts';

/** One step of untying, and the state of the tying that is reached by it; `null` where a picture shows nothing. */
export interface UntyingStep {
  readonly say: string;
  readonly done: number | null;
}

/** Why an end is never dragged out of a knot. */
export const whyNotDrag = 'Don’t drag an end out through a tight knot: it stretches the cloth out of shape, and is the commonest repair.';

/** A knot untied as it was tied, the other way round. */
export function untyingOf(knot: Knot, seat: Seat, blade: 'left' | 'right'): UntyingStep[] {
  const { works, stands } = endsOf(knot);
  const frame = frameFrom(seat, blade);
  const passes = passesOf(knot);
  const back = (pass: Pass): string => {
    const from = regionInFrame(pass.from, frame);
    const to = from === 'C' ? 'the throat' : sideFrom(seat, from === 'L' ? 'left' : 'right');
    if (pass.region === 'C')
      return pass.side === 'behind'
        ? `Take the ${works} back down through the throat and behind, to ${to}.`
        : `Draw the ${works} up out of the throat and over the front, to ${to}.`;
    if (pass.from === 'C')
      return pass.side === 'front'
        ? `Take the ${works} back up over the front to the throat.`
        : `Take the ${works} back behind, up to the throat.`;
    return pass.side === 'front'
      ? `Take the ${works} back across the front to ${to}.`
      : `Take the ${works} back behind the ${stands} to ${to}.`;
  };
  const opening: Readonly<Record<Knot['finish'], string>> = {
    tuck: `Draw the ${works} up out of the front band.`,
    open: `Lift the ${works} off the knot.`,
    collar: `Draw the ${works} out from under the collar.`,
  };
  return [
    { say: `Turn the collar up and take the tail out of the keeper. Hold the ${stands} and slide the knot down.`, done: null },
    { say: opening[knot.finish], done: passes.length },
    ...passes.map((pass, i) => ({ say: back(pass), done: i })).toReversed(),
  ];
}

/** The gentle way for knots that pull open; `null` for all others. */
export function pullsOpen(knot: Knot): string | null {
  return knotProperties(knot).selfReleasing
    ? `This knot pulls open: slide it down, loosen it with a finger, then take the ${endsOf(knot).stands} up and out slowly. Stop where it catches.`
    : null;
}
