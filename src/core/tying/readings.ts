import type { Estimate } from '../body/frontDrop.ts';

/** Where both tips are below the collar button, mm. */
export interface Tips {
  readonly tailDropMm: number;
  readonly bladeDropMm: number;
}

/** One start as it is read in each state of the tie, and the two readings that hardly depend on it. */
export interface Readings {
  /** Hanging around the raised collar, both ends straight down. */
  readonly open: Tips;
  /** Ends crossed at the habitual place below the button. */
  readonly crossed: Tips;
  /** Ends crossed at the button, the loop closed. */
  readonly snug: Tips;
  /** How much lower the blade's tip hangs than the tail's, open or crossed. */
  readonly differenceMm: number;
  /** The spot on the tail that sits at the button, from its tip: the same in every state. */
  readonly markMm: number;
}

export interface Hanging {
  readonly lengthMm: number;
  /** The closed loop. */
  readonly loopMm: number;
  /** Length of tie above the button's level while it hangs open around the raised collar. */
  readonly openLoopMm: number;
  /** Length of the loop with the ends crossed at the gap. */
  readonly crossedLoopMm: number;
  readonly gapMm: number;
}

/** Tie above the button's level while it hangs open, before it was measured: from nape to the sides of the neck and down. */
export function openLoopOf(loopMm: number): Estimate {
  return { meanMm: 0.5 * loopMm + 100, sdMm: 25 };
}

/** The loop crossed at a gap below the button, before it was measured: the arms nearly follow the neck, a little slack. */
export function crossedLoopOf(loopMm: number, gapMm: number): Estimate {
  return { meanMm: loopMm + 10 + 0.5 * gapMm, sdMm: 20 };
}

/**
 * Reads a start, told snug, in the other states. Crossing takes the same cloth from both sides of the nape, and drawing up
 * pulls the slack of the loop through the knot on the tail's side; the mark on the tail is its snug drop.
 */
export function readingsOf(tailMm: number, { lengthMm, loopMm, openLoopMm, crossedLoopMm, gapMm }: Hanging): Readings {
  const slack = crossedLoopMm - loopMm;
  const open = tailMm + loopMm - (crossedLoopMm + openLoopMm) / 2;
  const crossed = tailMm - slack + gapMm;
  return {
    open: { tailDropMm: open, bladeDropMm: lengthMm - openLoopMm - open },
    crossed: { tailDropMm: crossed, bladeDropMm: lengthMm - loopMm - tailMm + gapMm },
    snug: { tailDropMm: tailMm, bladeDropMm: lengthMm - loopMm - tailMm },
    differenceMm: lengthMm - loopMm - 2 * tailMm + slack,
    markMm: tailMm,
  };
}
