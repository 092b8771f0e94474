import type { SeenCloth } from '../mesh/compact.ts';
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
    drawn: drawnUp(request),
  };
}

/** Where every attempt from one start comes out with cloth through cloth, starts a hair off are tried as well. */
function drawnUp(request: TyingRequest): SeenCloth[] {
  const drawn = drawingUp(request);
  return drawn.length > 0 ? drawn : drawingUp({ ...request, seed: request.seed + otherSeed });
}

const otherSeed = 10;
