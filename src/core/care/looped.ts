import type { KnotPlan } from '../plan/knotPlan.ts';
import type { PlanRequest } from '../plan/request.ts';

/**
 * Girth of a head with its hair, mm: what a loop must pass that is taken off without untying. A prior for grown heads, good
 * to about 20 mm either way.
 */
export const headGirthMm = 590;
const headGirthSdMm = 20;
/** The tail must keep a hand’s breadth below the knot, or the loop is lost. */
export const handsBreadthMm = 90;

/** What is left below a knot that was let down until its loop passes over the head. */
export interface LoopedRoom {
  /** The end the knot slides along: the one that stood still in the tying. */
  readonly end: 'tail' | 'blade';
  readonly leftMm: number;
  readonly sdMm: number;
  /** Whether the loop can be kept, by the middle of what is known. */
  readonly holds: boolean;
}

/**
 * Let down, a knot slides along the end that stands: the loop, closed around the collar till then, grows by as much as
 * hangs less below the knot. The plan says where that end hangs, how surely, and how high the knot is.
 */
export function loopedRoom(
  { start, tip, tail, shape }: Pick<KnotPlan, 'start' | 'tip' | 'tail' | 'shape'>,
  { client, shirt }: Pick<PlanRequest, 'client' | 'shirt'>,
): LoopedRoom {
  const loopMm = client.neckMm + shirt.collarAllowanceMm;
  const { end } = start.set;
  const dropMm = end === 'tail' ? tail.dropMm : tip.dropMm;
  const leftMm = dropMm - shape.heightMm - Math.max(0, headGirthMm - loopMm);
  return { end, leftMm, sdMm: Math.hypot(headGirthSdMm, tip.sdMm), holds: leftMm >= handsBreadthMm };
}
