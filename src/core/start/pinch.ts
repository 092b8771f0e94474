import type { KnotPlan } from '../plan/knotPlan.ts';
import { inBand, repeatabilitySdMm, type Tolerance } from '../plan/landing.ts';
import { riseOfPanel } from '../tying/bundle.ts';
import { gainOf } from './reading.ts';

/** Before the tuck, with the knot pinched shut and the blade laid over it: what is seen then, and what comes of it. mm */
export interface Pinched {
  /** Where the blade tip hangs then, below the collar button. */
  readonly tipMm: number;
  /** How much lower it ends once the blade is through the band and no longer goes over the knot. */
  readonly lowersMm: number;
}

/** `null` where there is nothing to see: the blade is at its length from the first, or does not go down through a band. */
export function pinchedOf({ tip, shape, properties }: Pick<KnotPlan, 'tip' | 'shape' | 'properties'>): Pinched | null {
  if (properties.active !== 'blade') return null;
  // Without a tuck it lies over the knot in the end as well.
  const lowersMm = properties.finish === 'tuck' ? riseOfPanel * shape.depthMm : 0;
  return { tipMm: tip.dropMm - lowersMm, lowersMm };
}

/** What follows from a tip that is seen `offMm` lower than a pinched knot should show it. */
export interface PinchVerdict {
  /** Chance that it ends within tolerance if tying goes on. */
  readonly goesOn: number;
  /** How much lower to set the tail instead, negative is higher. mm */
  readonly moveMm: number;
  readonly advice: 'go-on' | 'undo';
}

/** Below an even chance it is cheaper to undo than to finish. */
const evenChance = 0.5;

/** Drawing up still moves the tip about as much as one tying and the next differ, less what was seen already. */
const afterPinchSdMm = 0.7 * repeatabilitySdMm;

export function judgePinch(plan: KnotPlan, offMm: number, tolerance: Tolerance): PinchVerdict {
  const goesOn = inBand(afterPinchSdMm, tolerance, offMm);
  return { goesOn, moveMm: offMm / gainOf(plan), advice: goesOn >= evenChance ? 'go-on' : 'undo' };
}
