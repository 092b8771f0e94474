import type { KnotPlan } from '../plan/knotPlan.ts';
import { plan } from '../plan/plan.ts';
import { supposeTie, type Tie } from '../tie/tie.ts';
import type { BriefCell, BuyingBrief, LengthRange } from './buyingBrief.ts';
import type { Outfit } from './judgeTie.ts';

/** One tie to ask for, with what it would be tied in. */
export interface TieToAskFor {
  readonly kind: 'best' | 'slimmer' | 'broader';
  readonly tie: Tie;
  /** Lengths that would do for this width and thickness. */
  readonly lengthMm: LengthRange;
  readonly best: KnotPlan;
}

/** Lengths that most shops have, the usual one first, mm. */
const usualLengths = [1470, 1500, 1450, 1480, 1550, 1600, 1400, 1350, 1300, 1250] as const;
/** Ties of this thickness are found most; each millimetre off it counts as so much of a knot's score against one. */
const usualThicknessMm = 2.8;
const costOfSeldomMm = 0.12;
/** A slimmer or a broader one is worth asking for from this far off, mm. */
const otherFromMm = 6;

/**
 * Three ties to ask for in a shop: the one of the brief's window that serves the outfit best and that shops are likely to
 * have, and the best that is clearly slimmer and clearly broader, where there is one. Each is planned in full. Pure.
 */
export function threeTies(outfit: Outfit, { cells }: BuyingBrief): TieToAskFor[] {
  const asked = cells
    .flatMap((cell) => askFor(outfit, cell) ?? [])
    .filter(({ best }) => best.feasible)
    .toSorted((a, b) => worth(b) - worth(a));
  const [first] = asked;
  if (!first) return [];
  const off = ({ tie }: Omit<TieToAskFor, 'kind'>) => tie.bladeMm - first.tie.bladeMm;
  const slimmer = asked.find((each) => off(each) <= -otherFromMm);
  const broader = asked.find((each) => off(each) >= otherFromMm);
  return [
    { ...first, kind: 'best' },
    ...(slimmer ? [{ ...slimmer, kind: 'slimmer' as const }] : []),
    ...(broader ? [{ ...broader, kind: 'broader' as const }] : []),
  ];
}

function worth({ tie, best }: Pick<TieToAskFor, 'tie' | 'best'>): number {
  return best.score - costOfSeldomMm * Math.abs(tie.thicknessMm - usualThicknessMm);
}

function askFor(outfit: Outfit, { bladeMm, thicknessMm, lengthMm }: BriefCell): Omit<TieToAskFor, 'kind'> | undefined {
  if (!lengthMm) return undefined;
  const usual = usualLengths.find((each) => each >= lengthMm.min && each <= lengthMm.max) ?? (lengthMm.min + lengthMm.max) / 2;
  const tie = supposeTie({ lengthMm: usual, bladeMm, thicknessMm });
  const [best] = plan({ ...outfit.question, tie }).knots;
  return best && { tie, lengthMm, best };
}
