import { type FrontDrop, frontDropOf } from '../body/frontDrop.ts';
import { fingertipOf, type Landmark, landmarksOf } from '../body/landmarks.ts';
import { type CollarClass, classOf } from '../collar/collar.ts';
import { collarFill } from '../collar/fill.ts';
import { enumerateKnots } from '../knot/enumerate.ts';
import { formatKnot } from '../knot/format.ts';
import { type Spoke, spokesCrossed } from '../knot/knot.ts';
import { type KnotProperties, knotProperties } from '../knot/properties.ts';
import { shapeOf } from '../tying/shape.ts';
import { startFor } from '../tying/start.ts';
import { formatLength } from '../units/length.ts';
import { type Advice, adviceFor } from './advice.ts';
import type { Judgement, Situation } from './criteria/criterion.ts';
import { criteria } from './criteria/index.ts';
import { tailCriterion } from './criteria/tail.ts';
import type { KnotPlan, NearLandmark, Reason } from './knotPlan.ts';
import { landingAt } from './landing.ts';
import { completeRequest, type PlanQuestion, type PlanRequest } from './request.ts';
import { tailFault, tailOutcome } from './tail.ts';

export interface Plan {
  readonly knots: readonly KnotPlan[];
  /** What holds for the whole outfit rather than for one knot. */
  readonly advice: readonly Advice[];
}

/**
 * Ranks the classic knots for one client, outfit and tie, and solves each one's start.
 * The aim's tolerance lies around the place aimed at. Knots that cannot be worn come last,
 * the nearest to working first. Pure; expects values within the documented ranges.
 */
export function plan(question: PlanQuestion): Plan {
  const request = completeRequest(question);
  const setting = settingOf(request);
  const judged = candidates(request.taste).map((candidate) => judge(candidate, setting));
  judged.sort(bestFirst);
  const knots = judged.map((knot, i): KnotPlan => ({ ...knot, rank: i + 1 }));
  return { knots, advice: adviceFor(request, knots) };
}

interface Candidate {
  readonly word: string;
  readonly spokes: readonly Spoke[];
  readonly properties: KnotProperties;
}

const catalogue = new Map<number, readonly Candidate[]>();

/** The words do not depend on the request, so each size of the catalogue is drawn up once. */
function candidates({ maxMoves, knots }: PlanRequest['taste']): readonly Candidate[] {
  let all = catalogue.get(maxMoves);
  if (!all) {
    all = enumerateKnots(maxMoves).map((knot) => ({
      word: formatKnot(knot),
      spokes: spokesCrossed(knot),
      properties: knotProperties(knot),
    }));
    catalogue.set(maxMoves, all);
  }
  return knots === 'named' ? all.filter(({ properties }) => properties.names.length > 0) : all;
}

type Unranked = Omit<KnotPlan, 'rank'>;

/** What every knot of one request shares. */
interface Setting {
  readonly request: PlanRequest;
  readonly loopMm: number;
  readonly drop: FrontDrop;
  readonly collarClass: CollarClass;
  readonly landmarks: readonly Landmark[];
  readonly fingertip: Landmark;
  readonly say: (mm: number) => string;
}

function settingOf(request: PlanRequest): Setting {
  const { client, shirt, units } = request;
  return {
    request,
    loopMm: client.neckMm + shirt.collarAllowanceMm,
    drop: frontDropOf(client),
    collarClass: classOf(shirt),
    landmarks: landmarksOf(client, shirt.buttonsMm),
    fingertip: fingertipOf(client.heightMm),
    say: (mm) => formatLength(mm, units),
  };
}

function judge({ word, spokes, properties }: Candidate, setting: Setting): Unranked {
  const { request, loopMm, drop, collarClass, say } = setting;
  const { client, shirt, tie, aim } = request;
  const { crossingGapMm } = client;
  const dropMm = drop.meanMm + aim.offsetMm;

  const { tailMm, bundle } = startFor(spokes, tie, { loopMm, crossingGapMm, dropMm });
  const shape = shapeOf(bundle);
  const collar = collarFill(shirt, shape);
  const landing = landingAt(dropMm, bundle.takeUpMm, drop, aim);
  const tail = tailOutcome(tailMm + crossingGapMm, dropMm, tie.keeperMm);
  const fault = tailFault(tail, dropMm, shape.heightMm, request.jacket);
  const situation: Situation = {
    request,
    properties,
    shape,
    collar,
    collarClass,
    landing,
    tail,
    tailFault: fault,
    say,
  };
  const { score, reasons } = weigh(situation);
  const bladeDropMm = tie.lengthMm - loopMm - tailMm;

  return {
    moves: word,
    names: properties.names,
    properties,
    score,
    feasible: fault.kind === 'none',
    tailFault: fault,
    takeUpMm: bundle.takeUpMm,
    start: {
      tailDropMm: tailMm,
      bladeDropMm,
      differenceMm: bladeDropMm - tailMm,
      landmarks: setting.landmarks.map((landmark) => near(landmark, tailMm)).sort((a, b) => Math.abs(a.offsetMm) - Math.abs(b.offsetMm)),
      bladeLandmark: near(setting.fingertip, bladeDropMm),
    },
    tip: landing,
    tail,
    shape,
    collar,
    reasons,
  };
}

function near({ name, kind, meanMm }: Landmark, atMm: number): NearLandmark {
  return { name, kind, offsetMm: atMm - meanMm };
}

function weigh(situation: Situation): { score: number; reasons: Reason[] } {
  const heard = criteria.flatMap(({ code, weight, judge }): { code: string; weight: number; judgement: Judgement }[] => {
    const judgement = judge(situation);
    return judgement ? [{ code, weight, judgement }] : [];
  });
  const total = heard.reduce((sum, { weight }) => sum + weight, 0);
  const score = heard.reduce((sum, { weight, judgement }) => sum + weight * judgement.score, 0) / total;
  const reasons = heard.map(({ code, judgement: { verdict, text } }) => ({ code, verdict, text }));
  // What rules a knot out is said before anything else.
  const first = situation.tailFault.kind === 'none' ? -1 : reasons.findIndex(({ code }) => code === tailCriterion.code);
  if (first > 0) reasons.unshift(...reasons.splice(first, 1));
  return { score, reasons };
}

function bestFirst(a: Unranked, b: Unranked): number {
  if (a.feasible !== b.feasible) return a.feasible ? -1 : 1;
  return missing(a) - missing(b) || b.score - a.score || a.properties.moves - b.properties.moves || a.moves.localeCompare(b.moves);
}

function missing({ tailFault }: Unranked): number {
  return tailFault.kind === 'none' ? 0 : tailFault.byMm;
}
