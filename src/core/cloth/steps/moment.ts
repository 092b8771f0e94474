import type { SeenCloth } from '../mesh/compact.ts';
import { between } from './between.ts';
import { lowered } from './lowered.ts';
import { inRowsOf } from './material.ts';
import { drawnAt, framesAMove, type TyingSequence } from './sequence.ts';
import { threaded } from './threaded.ts';

/**
 * A moment of a tying: after so many moves and parts of one, past the last of them on the way through its band; with the end through it; or drawn up by a share, from 0 to 1, and slid
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
  if (from.of === 'moves' && to.of === 'finished') return share === 1 ? to : { of: 'moves', done: from.done + share };
  if (from.of === 'finished' && to.of === 'moves') return share === 0 ? from : { of: 'moves', done: to.done + 1 - share };
  if (from.of === 'finished' && to.of === 'drawn') return share === 0 ? from : { ...to, share: mix(0, to.share) };
  if (from.of === 'drawn' && to.of === 'finished') return share === 1 ? to : { ...from, share: mix(from.share, 0) };
  return share < 0.5 ? from : to;
}

/** The frame of a moment; `undefined` where it is not settled yet. */
export function frameAt(sequence: TyingSequence, moment: Moment): SeenCloth | undefined {
  const { moving, finished, drawn } = sequence;
  switch (moment.of) {
    case 'moves': {
      const at = moment.done * framesAMove;
      const past = at - (moving.length - 1);
      const last = moving.at(-1);
      if (past > 0) return last && finished ? threaded(last, finished, past / framesAMove) : last;
      const low = Math.floor(at + 1e-9);
      return betweenNext(moving, low, Math.max(0, at - low));
    }
    case 'finished':
      return tucked(sequence);
    case 'drawn': {
      if (drawn.length === 0) return undefined;
      if (moment.share < drawnAt[0]) return drawnIn(sequence, moment.share / drawnAt[0], moment.up);
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

const tucked = ({ moving, finished }: TyingSequence) => finished ?? moving.at(-1);

/** From the end through its band, by a share, to where the knot is first drawn up. */
function drawnIn(sequence: TyingSequence, share: number, up: number): SeenCloth | undefined {
  const [from, to] = [tucked(sequence), sequence.drawn[0]];
  if (!from || !to) return undefined;
  return between(from, inRowsOf(lowered(to, 1 - up), from), share);
}

/** The frame a share of the way to the next one; whole where only that one is there. */
function betweenNext(frames: readonly (SeenCloth | undefined)[], at: number, share: number): SeenCloth | undefined {
  const [from, to] = [frames[at], frames[at + 1]];
  if (share < 1e-9) return from;
  if (from && to) return between(from, to, share);
  return undefined;
}
