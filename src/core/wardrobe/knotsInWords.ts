import type { KnotPlan } from '../plan/knotPlan.ts';
import { plan } from '../plan/plan.ts';
import { formatLength, type LengthUnit } from '../units/length.ts';
import { type ColouredTie, type Outfit, questionWith } from './judgeTie.ts';

export interface Judged {
  readonly name: string;
  /** Whether it works on this client with this tie. */
  readonly works: boolean;
  readonly text: string;
}

/** The named knots with one tie on one client: which work, how they fill the collar, and why the others do not. */
export function knotsInWords(outfit: Outfit, tie: ColouredTie): Judged[] {
  const question = questionWith(outfit, tie);
  const { knots } = plan({ ...question, search: { ...question.search, knots: 'named' } });
  const units = question.units ?? 'cm';
  return knots.map((knot) => ({ name: knot.title, works: knot.feasible, text: inWords(knot, units) }));
}

function inWords({ refusal, collar, start: { set } }: KnotPlan, units: LengthUnit): string {
  const say = (mm: number) => formatLength(mm, units);
  switch (refusal?.code) {
    case undefined:
      return `${set.end === 'tail' ? 'tail tip' : 'blade tip'} at ${say(set.dropMm)}, covers ${Math.round(collar.fill * 100)}% of the collar edge`;
    case 'tail-too-short':
      return `runs out of tie by ${say(refusal.byMm)}`;
    case 'tail-below-blade':
    case 'tail-too-long-to-hide':
      return `leaves the tail ${say(refusal.byMm)} too long`;
  }
}
