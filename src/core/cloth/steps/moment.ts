import type { SeenCloth } from '../mesh/compact.ts';
import { between } from './between.ts';
import { lowered } from './lowered.ts';
import { drawnAt, framesAMove, type TyingSequence } from './sequence.ts';

/**
 * A moment of a tying: after so many moves and parts of one; with the end through its band; or drawn up by a share, from 0 to 1, and slid
 * up by another.
 */
export type Moment =
  | { readonly of: 'moves'; readonly done: number }
  | { readonly of: 'finished' }
  | { readonly of: 'drawn'; readonly share: number; readonly up: number };

/** The moment a share of the way from one to another. Between two that no movement joins it is the one or the other. */
export function momentBetween(from: Moment, to: Moment, share: number): Moment {
  const mix = (a: number, b: number) => a + (b - a) * share;
  if (from.of === 'moves' && to.of === 'moves') return { of: 'moves', done: mix(from.done, to.done) };
  if (from.of === 'drawn' && to.of === 'drawn') return { of: 'drawn', share: mix(from.share, to.share), up: mix(from.up, to.up) };
  if (from.of === 'finished' && to.of === 'drawn') return share === 0 ? from : { ...to, share: mix(drawnAt[0], to.share) };
  if (from.of === 'drawn' && to.of === 'finished') return share === 1 ? to : { ...from, share: mix(from.share, drawnAt[0]) };
  return share < 0.5 ? from : to;
}

/** The frame of a moment; `undefined` where it is not settled yet. */
export function frameAt({ moving, finished, drawn }: TyingSequence, moment: Moment): SeenCloth | undefined {
  switch (moment.of) {
    case 'moves': {
      const at = moment.done * framesAMove;
      const low = Math.floor(at + 1e-9);
      return betweenNext(moving, low, Math.max(0, at - low));
    }
    case 'finished':
      return finished ?? moving.at(-1);
    case 'drawn': {
      if (drawn.length === 0) return undefined;
      // An attempt that began anew may have left out its first states: those that are there are the last ones.
      const shares = [...drawnAt, 1].slice(-drawn.length);
      const next = shares.findIndex((share) => share >= moment.share - 1e-9);
      const to = next < 0 ? shares.length - 1 : next;
      const [a = 0, b = 1] = [shares[to - 1], shares[to]];
      const frame = to === 0 ? drawn[0] : betweenNext(drawn, to - 1, Math.max(0, Math.min(1, (moment.share - a) / (b - a))));
      return frame && lowered(frame, 1 - moment.up);
    }
  }
}

/** The frame a share of the way to the next one; whole where only that one is there. */
function betweenNext(frames: readonly (SeenCloth | undefined)[], at: number, share: number): SeenCloth | undefined {
  const [from, to] = [frames[at], frames[at + 1]];
  if (share < 1e-9) return from;
  if (from && to) return between(from, to, share);
  return undefined;
}
