import { type FrontDrop, frontDropOf } from '../body/frontDrop.ts';
import { fingertipOf, type Landmark, landmarksOf } from '../body/landmarks.ts';
import { type CollarClass, classOf } from '../collar/collar.ts';
import { collarFill } from '../collar/fill.ts';
import { formatKnot } from '../knot/format.ts';
import type { Knot } from '../knot/knot.ts';
import { knotsInManner, mannerCodes } from '../knot/manners.ts';
import { parseKnot } from '../knot/parse.ts';
import { type KnotProperties, knotProperties } from '../knot/properties.ts';
import { gripNeeded } from '../tying/grip.ts';
import { type KnotShape, shapeOf } from '../tying/shape.ts';
import { startFor } from '../tying/start.ts';
import { type Winding, windingOf } from '../tying/winding.ts';
import { formatLength } from '../units/length.ts';
import { type Advice, adviceFor } from './advice.ts';
import type { Judgement, Situation } from './criteria/criterion.ts';
import { criteria } from './criteria/index.ts';
import { tailCriterion } from './criteria/tail.ts';
import type { KnotPlan, NearLandmark, Reason } from './knotPlan.ts';
import { landingAt } from './landing.ts';
import { completeRequest, type PlanQuestion, type PlanRequest } from './request.ts';
import { endsOf } from './tail.ts';

export interface Plan {
  readonly knots: readonly KnotPlan[];
  /** What holds for the whole outfit rather than for one knot. */
  readonly advice: readonly Advice[];
}

/**
 * Ranks the knots of a family, or of all, for one client, outfit and tie, and solves each one's start.
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
  readonly winding: Winding;
  readonly properties: KnotProperties;
}

const catalogue = new Map<string, readonly Candidate[]>();

/** The words do not depend on the request, so each family is drawn up once a size. */
function candidates({ maxMoves, knots, manner, also }: PlanRequest['taste']): readonly Candidate[] {
  const key = `${manner} ${maxMoves}`;
  let all = catalogue.get(key);
  if (!all) {
    const codes = manner === 'any' ? mannerCodes : [manner];
    all = codes.flatMap((code) => knotsInManner(code, maxMoves)).map(candidateOf);
    catalogue.set(key, all);
  }
  const asked = knots === 'named' ? all.filter(({ properties }) => properties.names.length > 0) : all;
  const besides = also.filter((each) => !asked.some(({ word }) => word === each));
  return besides.length > 0 ? [...asked, ...besides.map((each) => candidateOf(parseKnot(each)))] : asked;
}

function candidateOf(knot: Knot): Candidate {
  return { word: formatKnot(knot), winding: windingOf(knot), properties: knotProperties(knot) };
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

function judge({ word, winding, properties }: Candidate, setting: Setting): Unranked {
  const { request, loopMm, drop, collarClass, say } = setting;
  const { client, shirt, tie, aim } = request;
  const { crossingGapMm } = client;
  const dropMm = drop.meanMm + aim.offsetMm;

  const start = startFor(winding, tie, { loopMm, crossingGapMm, dropMm });
  const { tailMm, bundle } = start;
  const shape = asWorn(shapeOf(bundle), client.blade);
  const collar = collarFill(shirt, shape);
  // Where the blade is set to its length first, what the knot takes up cannot move its tip.
  const landing = landingAt(dropMm, winding.active === 'blade' ? bundle.takeUpMm : 0, drop, aim);
  const { tail, fault, shorterByMm } = endsOf({
    active: winding.active,
    start,
    loopMm,
    crossingGapMm,
    tipDropMm: dropMm,
    keeperMm: tie.keeperMm,
    knotHeightMm: shape.heightMm,
    jacket: request.jacket,
  });
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
  const setMm = winding.active === 'blade' ? tailMm : bladeDropMm;

  return {
    moves: word,
    names: properties.names,
    properties,
    score,
    feasible: fault.kind === 'none',
    tailFault: fault,
    takeUpMm: bundle.takeUpMm,
    lengthNeededMm: tie.lengthMm - shorterByMm,
    gripNeeded: gripNeeded(properties),
    start: {
      sets: winding.active === 'blade' ? 'tail' : 'blade',
      tailDropMm: tailMm,
      bladeDropMm,
      differenceMm: bladeDropMm - tailMm,
      landmarks: setting.landmarks.map((landmark) => near(landmark, setMm)).sort((a, b) => Math.abs(a.offsetMm) - Math.abs(b.offsetMm)),
      bladeLandmark: near(setting.fingertip, bladeDropMm),
    },
    tip: landing,
    tail,
    shape,
    collar,
    reasons,
  };
}

/** A knot is worked out for a blade that starts on the right; started on the left it comes out as in a mirror. */
function asWorn(shape: KnotShape, blade: 'right' | 'left'): KnotShape {
  return blade === 'right'
    ? shape
    : {
        ...shape,
        leftFlankMm: shape.rightFlankMm,
        rightFlankMm: shape.leftFlankMm,
        tiltDeg: -shape.tiltDeg,
        overhangDeg: -shape.overhangDeg,
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
