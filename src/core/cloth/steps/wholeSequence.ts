import type { TyingRequest } from '../simulate.ts';
import { drawingUp } from './drawingUp.ts';
import { framesAMove, type TyingSequence } from './sequence.ts';
import { settle } from './settle.ts';

/** All frames of a knot's tying, one after the other: some seconds of one core. */
export function wholeSequence(request: TyingRequest): TyingSequence {
  const moves = request.knot.moves.length;
  return {
    moving: Array.from({ length: moves * framesAMove + 1 }, (_, i) => settle(request, i / framesAMove).frame),
    finished: request.knot.finish === 'open' ? undefined : settle(request, moves + 1).frame,
    drawn: drawingUp(request),
  };
}
