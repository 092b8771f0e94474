import { collarStyles } from '../collar/styles.ts';
import { formatLength, type LengthUnit } from '../units/length.ts';
import type { KnotPlan, Reason } from './knotPlan.ts';
import { planKnot } from './plan.ts';
import { completeRequest, type PlanQuestion, type PlanRequest } from './request.ts';

/** One thing that could be otherwise, tried a step at a time in either direction. */
interface Lever {
  readonly code: string;
  /** A change so large is felt as much as one of any other lever. */
  readonly feltMm: number;
  readonly stepMm: number;
  readonly mostMm: number;
  readonly change: (request: PlanRequest, byMm: number) => PlanQuestion | undefined;
  readonly say: (byMm: number, units: LengthUnit, request: PlanRequest) => string;
}

const longer = (byMm: number, more: string, less: string) => (byMm > 0 ? more : less);

const levers: readonly Lever[] = [
  {
    code: 'aim',
    feltMm: 12,
    stepMm: 2,
    mostMm: 50,
    change: (request, byMm) => ({ ...request, aim: { ...request.aim, offsetMm: request.aim.offsetMm + byMm } }),
    say: (byMm, units) => `Aim ${formatLength(Math.abs(byMm), units)} ${longer(byMm, 'lower', 'higher')}.`,
  },
  {
    code: 'tie-length',
    feltMm: 50,
    stepMm: 10,
    mostMm: 350,
    change: (request, byMm) => {
      const { lengthMm, neckAtMm } = request.tie;
      const share = (lengthMm + byMm) / lengthMm;
      return { ...request, tie: { ...request.tie, lengthMm: lengthMm + byMm, neckAtMm: neckAtMm * share } };
    },
    say: (byMm, units, { tie }) =>
      `A tie ${formatLength(Math.abs(byMm), units)} ${longer(byMm, 'longer', 'shorter')} (${formatLength(tie.lengthMm + byMm, units)}).`,
  },
  {
    code: 'thickness',
    feltMm: 0.6,
    stepMm: 0.1,
    mostMm: 2.4,
    change: (request, byMm) => {
      const thicknessMm = request.tie.thicknessMm + byMm;
      return thicknessMm < 1 ? undefined : { ...request, tie: { ...request.tie, thicknessMm } };
    },
    say: (byMm, units, { tie }) =>
      `${longer(byMm, 'Thicker', 'Thinner')} fabric: ${formatLength(tie.thicknessMm + byMm, units, 'thickness')} instead of ${formatLength(tie.thicknessMm, units, 'thickness')}.`,
  },
  {
    code: 'blade',
    feltMm: 12,
    stepMm: 2,
    mostMm: 40,
    change: (request, byMm) => {
      const { tie } = request;
      const share = (tie.bladeMm + byMm) / tie.bladeMm;
      if (share < 0.4) return undefined;
      return { ...request, tie: { ...tie, bladeMm: tie.bladeMm * share, neckMm: tie.neckMm * share, tailMm: tie.tailMm * share } };
    },
    say: (byMm, units, { tie }) =>
      `A ${longer(byMm, 'wider', 'slimmer')} tie: ${formatLength(tie.bladeMm + byMm, units)} instead of ${formatLength(tie.bladeMm, units)}.`,
  },
  {
    code: 'collar',
    feltMm: 22,
    stepMm: 3,
    mostMm: 90,
    change: (request, byMm) => {
      const collarSpreadMm = request.shirt.collarSpreadMm + byMm;
      const { tieSpaceMm, collarPointMm } = request.shirt;
      if (collarSpreadMm <= tieSpaceMm + 10 || collarSpreadMm >= 2 * collarPointMm + tieSpaceMm) return undefined;
      return { ...request, shirt: { ...request.shirt, collarSpreadMm } };
    },
    say: (byMm, units, { shirt }) => {
      const spread = shirt.collarSpreadMm + byMm;
      const style = Object.values(collarStyles).reduce((best, each) =>
        Math.abs(each.collarSpreadMm - spread) < Math.abs(best.collarSpreadMm - spread) ? each : best,
      );
      return `A collar ${formatLength(Math.abs(byMm), units)} ${longer(byMm, 'wider', 'narrower')} from point to point, as on a ${style.label} collar.`;
    },
  },
  {
    code: 'jacket',
    feltMm: 0.8,
    stepMm: 1,
    mostMm: 1,
    change: (request, byMm) =>
      request.jacket && request.jacket.worn === 'open' && byMm > 0
        ? { ...request, jacket: { ...request.jacket, worn: 'closed' } }
        : undefined,
    say: () => 'The jacket buttoned.',
  },
  {
    code: 'waistcoat',
    feltMm: 0.6,
    stepMm: 1,
    mostMm: 1,
    change: (request, byMm) =>
      request.jacket && !request.jacket.waistcoat && byMm > 0 ? { ...request, jacket: { ...request.jacket, waistcoat: true } } : undefined,
    say: () => 'A waistcoat over it.',
  },
];

/** One change that would make a knot right. */
export interface Remedy {
  readonly code: string;
  readonly byMm: number;
  /** How much is asked, on one scale for all: the smaller the better. */
  readonly felt: number;
  readonly text: string;
}

export interface WhyNot {
  /** What speaks against it as it is. */
  readonly against: readonly Reason[];
  /** Single changes, the smallest first. */
  readonly remedies: readonly Remedy[];
  /** What each of them does: leave nothing against it, or at least let it work at all. */
  readonly makes: 'right' | 'work';
}

/**
 * What speaks against a knot for this client, outfit and tie, and the smallest single changes after which nothing does; of
 * a knot that won't work and that no single change makes right, those that let it work. Found by searching the model: each
 * lever is moved step by step, both ways.
 */
export function whyNot(question: PlanQuestion, moves: string): WhyNot {
  const request = completeRequest(question);
  const now = planKnot(question, moves);
  const against = now.reasons.filter(({ verdict }) => verdict === 'poor');
  if (against.length === 0) return { against, remedies: [], makes: 'right' };
  const right = remediesFor(request, moves, isRight);
  if (right.length > 0 || now.feasible) return { against, remedies: right, makes: 'right' };
  return { against, remedies: remediesFor(request, moves, ({ feasible }) => feasible), makes: 'work' };
}

type Goal = (knot: KnotPlan) => boolean;

function remediesFor(request: PlanRequest, moves: string, isReached: Goal): Remedy[] {
  return levers
    .flatMap((lever): Remedy[] => {
      const byMm = firstReached(lever, request, moves, isReached);
      return byMm === undefined
        ? []
        : [{ code: lever.code, byMm, felt: Math.abs(byMm) / lever.feltMm, text: lever.say(byMm, request.units, request) }];
    })
    .sort((a, b) => a.felt - b.felt);
}

function firstReached({ stepMm, mostMm, change }: Lever, request: PlanRequest, moves: string, isReached: Goal): number | undefined {
  for (let step = 1; step * stepMm <= mostMm + 1e-9; step++) {
    for (const way of [1, -1]) {
      const byMm = Number((way * step * stepMm).toFixed(3));
      const changed = change(request, byMm);
      if (changed && isReached(planKnot(changed, moves))) return byMm;
    }
  }
  return undefined;
}

/** Whether it works and carries no verdict against it. */
function isRight({ feasible, reasons }: KnotPlan): boolean {
  return feasible && reasons.every(({ verdict }) => verdict !== 'poor');
}
