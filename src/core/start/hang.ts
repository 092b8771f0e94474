import type { Estimate } from '../body/frontDrop.ts';
import type { Learnt } from '../fitbook/calibration.ts';
import type { PlanRequest } from '../plan/request.ts';
import { crossedLoopOf, type Hanging, openLoopOf } from '../tying/readings.ts';

/** How a tie hangs around one neck before it is tied: its loops, each with how far it may be off. */
export interface Hang {
  readonly lengthMm: number;
  /** The closed loop. */
  readonly loopMm: number;
  readonly open: Estimate;
  readonly crossed: Estimate;
  /** How both loops vary together, mm²: only what was learnt of them from the same tyings does. */
  readonly eachOtherMm2: number;
  readonly gapMm: number;
}

/** A loop that was measured with the tie itself is good to about this, mm. */
const measuredSdMm = 8;

/** The loops of a request: as they were measured, or by their priors and what tyings taught of them. */
export function hangOf({ client, shirt, tie, calibration }: Pick<PlanRequest, 'client' | 'shirt' | 'tie' | 'calibration'>): Hang {
  const loopMm = client.neckMm + shirt.collarAllowanceMm;
  const { loops } = calibration;
  const known = (measured: number | null, supposed: Estimate, learnt: Learnt | undefined): Estimate => {
    if (measured !== null) return { meanMm: measured, sdMm: measuredSdMm };
    return learnt ? { meanMm: supposed.meanMm + learnt.meanMm, sdMm: learnt.sdMm } : supposed;
  };
  const bothLearnt = client.openLoopMm === null && client.crossedLoopMm === null;
  return {
    lengthMm: tie.lengthMm,
    loopMm,
    open: known(client.openLoopMm, openLoopOf(loopMm), loops?.open),
    crossed: known(client.crossedLoopMm, crossedLoopOf(loopMm, client.crossingGapMm), loops?.crossed),
    eachOtherMm2: bothLearnt ? (loops?.along.eachOtherMm2 ?? 0) : 0,
    gapMm: client.crossingGapMm,
  };
}

/** The same without how sure it is, as readings are made from it. */
export function hangingIn({ lengthMm, loopMm, open, crossed, gapMm }: Hang): Hanging {
  return { lengthMm, loopMm, openLoopMm: open.meanMm, crossedLoopMm: crossed.meanMm, gapMm };
}

/**
 * The open loop, from a tie hung with both tips level: what does not hang on either side lies above the button.
 * `levelMm` is how far the tips hang below it.
 */
export function openLoopFrom(lengthMm: number, levelMm: number): number {
  return lengthMm - 2 * levelMm;
}

/** The crossed loop, from both tips read below the button with the ends crossed at the gap. */
export function crossedLoopFrom(lengthMm: number, tailDropMm: number, bladeDropMm: number, gapMm: number): number {
  return lengthMm - (tailDropMm - gapMm) - (bladeDropMm - gapMm);
}
