import type { ColouredCloth } from '../colour/cloth.ts';
import type { TieOnShirt } from '../colour/compare.ts';
import type { Calibration } from '../fitbook/calibration.ts';
import { bladeOnLapel } from '../plan/criteria/lapel.ts';
import type { KnotPlan, Reason } from '../plan/knotPlan.ts';
import { plan } from '../plan/plan.ts';
import { completeRequest, type PlanQuestion } from '../plan/request.ts';
import type { Tie } from '../tie/tie.ts';
import { formatLength } from '../units/length.ts';
import { colourReasons, judgeColour, judgeWithRest } from './colourCriterion.ts';

/** A client dressed but for the tie. */
export interface Outfit {
  readonly question: Omit<PlanQuestion, 'tie'>;
  /** What is known of single ties beyond what is known of any, by their ids. */
  readonly ofTies?: Readonly<Record<string, Calibration>>;
  /** `#rrggbb`; `null` where it was never entered, and colour is not judged. */
  readonly shirtColour: string | null;
  readonly jacketColour?: string | null;
  readonly trousersColour?: string | null;
}

/** A tie in its colours; none where they were never entered. */
export type ColouredTie = Tie & ColouredCloth & { readonly id?: string };

/** What is asked of the plan for an outfit in one tie, with what is known of that tie. */
export function questionWith({ question, ofTies }: Outfit, tie: Tie & { readonly id?: string }): PlanQuestion {
  const calibration = tie.id === undefined ? undefined : ofTies?.[tie.id];
  return { ...question, tie, ...(calibration && { calibration }) };
}

/** What speaks for and against one tie with one outfit. */
export interface TieJudgement {
  readonly score: number;
  /** The knot it does best; the nearest to working when none does. */
  readonly best: KnotPlan;
  readonly feasible: boolean;
  /** How many of the knots asked for work with it. */
  readonly landing: number;
  readonly asked: number;
  /** Blade less lapel, mm; absent without a jacket. */
  readonly widerThanLapelMm: number | undefined;
  /** `null` where a colour was never entered. */
  readonly colours: TieOnShirt | null;
  readonly reasons: readonly Reason[];
}

/** What counts how much. What can't be judged falls away, and the others share its part. */
const parts = { knot: 0.5, colour: 0.25, whole: 0.06, lapel: 0.25 } as const;

/** Judges a tie for an outfit by every knot asked for and by its colours. Pure. */
export function judgeTie(outfit: Outfit, tie: ColouredTie): TieJudgement {
  const question = questionWith(outfit, tie);
  const { knots } = plan(question);
  const [best] = knots;
  if (!best) throw new Error('No knots were asked for');
  const colour = judgeColour(tie, outfit.shirtColour);
  const whole = judgeWithRest(tie, outfit);
  const landing = knots.filter(({ feasible }) => feasible).length;
  const { jacket, rules } = completeRequest(question);
  const lapel = jacket ? bladeOnLapel(tie.bladeMm, jacket.lapelMm, rules.lapelRule) : undefined;
  return {
    score: best.feasible ? scoreOf({ knot: best.score, colour: colour?.score, whole: whole?.score, lapel }) : 0,
    best,
    feasible: best.feasible,
    landing,
    asked: knots.length,
    widerThanLapelMm: jacket ? tie.bladeMm - jacket.lapelMm : undefined,
    colours: colour?.colours ?? null,
    reasons: [
      lengthReason(knots, landing, outfit),
      ...best.reasons.filter(({ code }) => ['lapel', 'collar-fill', 'opening', 'prescribed', 'dress', 'motif', 'release'].includes(code)),
      ...colourReasons(tie, outfit),
    ],
  };
}

function scoreOf(scores: Readonly<Record<keyof typeof parts, number | undefined>>): number {
  const judged = (Object.keys(parts) as (keyof typeof parts)[]).flatMap((part) => {
    const score = scores[part];
    return score === undefined ? [] : [{ weight: parts[part], score }];
  });
  return judged.reduce((sum, { weight, score }) => sum + weight * score, 0) / judged.reduce((sum, { weight }) => sum + weight, 0);
}

/** The tie's length in one sentence: which knots can be worn, and what hinders the others. */
function lengthReason(knots: readonly KnotPlan[], landing: number, { question }: Outfit): Reason {
  const [best] = knots;
  const refusal = best?.refusal;
  if (refusal) {
    const by = formatLength(refusal.byMm, question.units ?? 'cm');
    const text = `Too ${refusal.code === 'tail-too-short' ? 'short' : 'long'} for every knot, by at least ${by}.`;
    return { code: 'length', verdict: 'poor', text };
  }
  if (landing === knots.length)
    return { code: 'length', verdict: 'good', text: 'Long enough, and not too long, for every knot asked for.' };
  const kinds = new Set(knots.map(({ refusal: why }) => why?.code));
  const why = kinds.has('tail-too-short') ? 'the longer ones need a longer tie' : 'the shorter ones leave too much tail';
  const verdict = landing * 2 >= knots.length ? 'good' : 'fair';
  return { code: 'length', verdict, text: `${landing} of ${knots.length} knots work with it; ${why}.` };
}
