import type { DressingHabits } from '../plan/habits.ts';
import type { KnotPlan } from '../plan/knotPlan.ts';
import type { PlanRequest } from '../plan/request.ts';
import { shortOfKeeper } from '../plan/tail.ts';

/** Where a tail goes that does not reach the keeper, by the school of whoever dresses. */
export interface Tuck {
  readonly shortMm: number;
  readonly where: 'between-buttons' | 'nowhere' | 'anywhere';
}

/** `null` where the tail goes through the keeper, or is the end that tied. Between the buttons only as far down as it reaches one. */
export function tuckOf({ tail, tip, properties }: KnotPlan, { tie, shirt }: PlanRequest, school: DressingHabits['tucks']): Tuck | null {
  if (properties.active === 'narrow' || tail.reachesKeeper) return null;
  const shortMm = shortOfKeeper(tail, tip.dropMm, tie.keeperMm);
  if (school === 'keeper') return { shortMm, where: 'nowhere' };
  const reachesFirst = (shirt.buttonsMm[0] ?? Number.POSITIVE_INFINITY) < tail.dropMm;
  if (reachesFirst) return { shortMm, where: 'between-buttons' };
  return { shortMm, where: school === 'anywhere' ? 'anywhere' : 'nowhere' };
}
