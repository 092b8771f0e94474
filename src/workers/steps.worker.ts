import { expose, type Remote } from 'comlink';
import { packCloth } from '../core/cloth/mesh/compact.ts';
import type { TyingRequest } from '../core/cloth/simulate.ts';
import { drawingUp } from '../core/cloth/steps/drawingUp.ts';
import { settle } from '../core/cloth/steps/settle.ts';

const stepsWorker = {
  /** The cloth after so many moves and parts of one, the finish counting as one more, as bytes. */
  settle(request: TyingRequest, done: number): Uint8Array {
    return packCloth(settle(request, done).frame);
  },

  /** The knot being drawn up, as bytes a frame; none where no attempt came out clean. */
  drawUp(request: TyingRequest, onProgress: (share: number) => void): Uint8Array[] {
    return drawingUp(request, { onProgress }).map((frame) => packCloth(frame));
  },
};

export type StepsWorker = Remote<typeof stepsWorker>;

expose(stepsWorker);
