import type { KnotPlan } from './knotPlan.ts';

/** Which end is hung at its landmark before the first move, and how far below the collar button. */
export interface SetEnd {
  readonly name: 'narrow tip' | 'blade';
  readonly dropMm: number;
}

/** Answers kept before the narrow end could tie do not say which end is set: it was the narrow one. */
export function endToSet({
  sets,
  tailDropMm,
  bladeDropMm,
}: Pick<KnotPlan['start'], 'tailDropMm' | 'bladeDropMm'> & Partial<Pick<KnotPlan['start'], 'sets'>>): SetEnd {
  return sets === 'blade' ? { name: 'blade', dropMm: bladeDropMm } : { name: 'narrow tip', dropMm: tailDropMm };
}
