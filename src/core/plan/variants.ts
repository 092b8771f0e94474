import { difficultyWord } from '../knot/difficulty.ts';
import { differencesInWords } from '../knotMap/compare.ts';
import type { Tie } from '../tie/tie.ts';
import { formatLength, type LengthUnit } from '../units/length.ts';
import { chanceInWords } from './chance.ts';
import type { KnotPlan } from './knotPlan.ts';

/** One of two that stand beside each other: a knot, in a tie. */
export interface Variant {
  readonly plan: KnotPlan;
  readonly tie: Pick<Tie, 'bladeMm' | 'thicknessMm'>;
}

const seenBladeMm = 2;
const seenThicknessMm = 0.2;
/** Chances nearer than this are alike: one tying in twenty. */
const seenChance = 0.05;

/** What is told of by its figures already. */
const toldByFigures: ReadonlySet<string> = new Set(['landing', 'ease', 'symmetry', 'release']);

/** How one variant differs from another on the same client: the tie, the knot, the odds, and every verdict that changes. Empty where they are alike. */
export function variantDifferences(there: Variant, here: Variant, units: LengthUnit): string[] {
  const says: string[] = [];
  const wider = there.tie.bladeMm - here.tie.bladeMm;
  if (Math.abs(wider) >= seenBladeMm) says.push(`blade ${formatLength(Math.abs(wider), units)} ${wider > 0 ? 'wider' : 'narrower'}`);
  const thicker = there.tie.thicknessMm - here.tie.thicknessMm;
  if (Math.abs(thicker) >= seenThicknessMm)
    says.push(`${formatLength(Math.abs(thicker), units, 'thickness')} ${thicker > 0 ? 'thicker' : 'thinner'}`);
  const mapped = ({ plan }: Variant) => ({ plan, difficulty: difficultyWord(plan.properties) });
  says.push(...differencesInWords(mapped(there), mapped(here), units));
  const [chance, before] = [there.plan.tip.inBandProbability, here.plan.tip.inBandProbability];
  if (there.plan.feasible && here.plan.feasible && Math.abs(chance - before) >= seenChance)
    says.push(`first try ${chanceInWords(chance)} within tolerance, not ${chanceInWords(before)}`);
  const changed = there.plan.reasons.filter(({ code, verdict }) => {
    const was = here.plan.reasons.find((each) => each.code === code);
    return !toldByFigures.has(code) && was?.verdict !== verdict && (was !== undefined || verdict === 'poor');
  });
  const settled = here.plan.reasons.filter(
    ({ code, verdict }) => verdict === 'poor' && !toldByFigures.has(code) && !there.plan.reasons.some((each) => each.code === code),
  );
  return [...says, ...changed.map(({ text }) => text), ...settled.map(({ text }) => `No longer: ${text}`)];
}
