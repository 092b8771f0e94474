import type { KnotPlan } from '../plan/knotPlan.ts';
import { plan } from '../plan/plan.ts';
import { endToSet } from '../plan/setting.ts';
import { formatLength, type LengthUnit } from '../units/length.ts';
import type { ColouredTie, Outfit } from './judgeTie.ts';

export interface Judged {
  readonly name: string;
  /** Whether it can be worn on this client with this tie. */
  readonly lands: boolean;
  readonly text: string;
}

/** The named knots with one tie on one client: which land, how they fill the collar, and why the others do not. */
export function knotsInWords(outfit: Outfit, tie: ColouredTie): Judged[] {
  const { question } = outfit;
  const { knots } = plan({ ...question, tie, taste: { ...question.taste, knots: 'named' } });
  const units = question.units ?? 'cm';
  return knots.map((knot) => ({ name: knot.names[0] ?? knot.moves, lands: knot.feasible, text: inWords(knot, units) }));
}

function inWords({ tailFault, collar, start }: KnotPlan, units: LengthUnit): string {
  const toSet = endToSet(start);
  switch (tailFault.kind) {
    case 'none':
      return `${toSet.name} at ${formatLength(toSet.dropMm, units)}, covers ${Math.round(collar.fill * 100)} % of the collar’s edge`;
    case 'too-short':
      return `runs out of cloth by ${formatLength(tailFault.byMm, units)}`;
    case 'peeps-out':
      return `leaves ${formatLength(tailFault.byMm, units)} too much of the narrow end`;
  }
}
