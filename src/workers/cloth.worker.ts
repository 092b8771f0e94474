import { expose, type Remote } from 'comlink';
import { packCloth, seenOf } from '../core/cloth/mesh/compact.ts';
import type { TyingRequest } from '../core/cloth/simulate.ts';
import { tieInCloth } from '../core/cloth/tieInCloth.ts';

const clothWorker = {
  /** Ties a knot in cloth; the mesh as bytes, or `undefined` where no attempt came out clean. */
  tie(request: TyingRequest, onProgress: (share: number, attempt: number) => void): Uint8Array | undefined {
    const tied = tieInCloth(request, undefined, { onProgress });
    return tied.kind === 'tied' ? packCloth(seenOf(tied.mesh)) : undefined;
  },
};

export type ClothWorker = Remote<typeof clothWorker>;

expose(clothWorker);
