import type { Aim } from '../plan/aims.ts';
import type { KnotPlan } from '../plan/knotPlan.ts';
import { planKnot } from '../plan/plan.ts';
import { completeRequest, type PlanQuestion } from '../plan/request.ts';
import { hidesTip } from '../plan/tail.ts';

/** What a waistcoat or a buttoned jacket hides of a tip that ends higher, below the belt top, mm. */
const hiddenFromMm = -150;

/** How large one knot can be made in one tie by where its tip ends. */
export interface SizeRange {
  /** Where the tip may end against the belt top, the highest first; lower is positive. mm */
  readonly fromMm: number;
  readonly toMm: number;
  /** The knot with its tip highest, which is largest, and lowest. */
  readonly largest: KnotPlan;
  readonly smallest: KnotPlan;
}

/**
 * A start lower on the blade puts wider cloth into the knot: it comes out larger, and the tie shorter. How far that can be
 * taken is what is right about the tip, or, where something hides the tip, all that is hidden.
 */
export function sizesOf(question: PlanQuestion, moves: string): SizeRange {
  const { aim, jacket } = completeRequest(question);
  const fromMm = hidesTip(jacket) ? Math.min(hiddenFromMm, aim.offsetMm) : aim.offsetMm - aim.aboveMm;
  const toMm = aim.offsetMm + aim.belowMm;
  const at = (offsetMm: number) => planKnot({ ...question, aim: aimAt({ fromMm, toMm }, offsetMm) }, moves);
  return { fromMm, toMm, largest: at(fromMm), smallest: at(toMm) };
}

/** The aim for a place within the range; what is right about the tip stays where it was. */
export function aimAt({ fromMm, toMm }: Pick<SizeRange, 'fromMm' | 'toMm'>, offsetMm: number): Aim {
  return { offsetMm, aboveMm: offsetMm - fromMm, belowMm: toMm - offsetMm };
}
