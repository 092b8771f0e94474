import { type Frame, ownRight, regionInFrame } from './frame.ts';
import type { Knot } from './knot.ts';

/** Writes a knot in shorthand, spoken in `frame`: `Li Ro Li Co T`. */
export function formatKnot(knot: Knot, frame: Frame = ownRight): string {
  const moves = knot.moves.map((move) => regionInFrame(move.region, frame) + move.direction);
  return [...moves, 'T'].join(' ');
}
