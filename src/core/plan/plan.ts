import { type FrontDrop, frontDropOf } from '../body/frontDrop.ts';
import { fingertipOf, type Landmark, landmarksOf } from '../body/landmarks.ts';
import { type CollarClass, classOf } from '../collar/collar.ts';
import { collarFill } from '../collar/fill.ts';
import { hiddenBy } from '../collar/hides.ts';
import { alongLoops, calibrationOf } from '../fitbook/calibration.ts';
import { asSeen } from '../fitbook/shapes.ts';
import { knotCode, knotTitle } from '../knot/code.ts';
import { formatKnot } from '../knot/format.ts';
import type { Frame } from '../knot/frame.ts';
import type { Knot } from '../knot/knot.ts';
import { knotsInManner, mannerCodes } from '../knot/manners.ts';
import { parseKnot } from '../knot/parse.ts';
import { type KnotProperties, knotProperties } from '../knot/properties.ts';
import { type Step, stepsOf } from '../knot/steps.ts';
import { type Hang, hangingIn, hangOf } from '../start/hang.ts';
import { tipSdsOf } from '../start/reading.ts';
import { bandWidth } from '../tie/width.ts';
import { gripNeeded } from '../tying/grip.ts';
import { type Hanging, readingsOf } from '../tying/readings.ts';
import { type KnotShape, shapeOf } from '../tying/shape.ts';
import { type Stance, stanceOf } from '../tying/stance.ts';
import { levelDrop, startFor, usualGain } from '../tying/start.ts';
import { type Winding, windingOf } from '../tying/winding.ts';
import { formatLength } from '../units/length.ts';
import { type Advice, adviceFor } from './advice.ts';
import type { Judgement, Situation } from './criteria/criterion.ts';
import { criteria } from './criteria/index.ts';
import { landingCriterion } from './criteria/landing.ts';
import { refusalInWords } from './criteria/tail.ts';
import type { KnotPlan, NearLandmark, Reason } from './knotPlan.ts';
import { landingAt } from './landing.ts';
import { completeRequest, type PlanQuestion, type PlanRequest, type Search } from './request.ts';
import { endsOf } from './tail.ts';

export interface Plan {
  readonly knots: readonly KnotPlan[];
  /** What holds for the whole outfit rather than for one knot. */
  readonly advice: readonly Advice[];
}

/**
 * Ranks the knots of a family, or of all, for one client, outfit and tie, and solves each one's start.
 * The aim's tolerance lies around the place aimed at. Knots that won't work come last,
 * the nearest to working first. Pure; expects values within the documented ranges.
 */
export function plan(question: PlanQuestion): Plan {
  const request = completeRequest(question);
  switch (request.tie.kind) {
    case 'long-tie':
      return planLongTie(request);
  }
}

function planLongTie(request: PlanRequest): Plan {
  const setting = settingOf(request);
  const judged = candidates(request.search).map((candidate) => judge(candidate, setting));
  judged.sort(bestFirst);
  const knots = withFitFirst(judged).map((knot, i): KnotPlan => ({ ...knot, rank: i + 1 }));
  return { knots, advice: adviceFor(request, knots) };
}

/** One knot, as it stands with this client, outfit and tie, whatever else would suit; its rank is 1, for it is alone. */
export function planKnot(question: PlanQuestion, moves: string): KnotPlan {
  const request = completeRequest(question);
  return { ...judge(candidateNamed(moves), settingOf(request)), rank: 1 };
}

const byMoves = new Map<string, Candidate>();

function candidateNamed(moves: string): Candidate {
  const known = byMoves.get(moves) ?? candidateOf(parseKnot(moves));
  byMoves.set(moves, known);
  return known;
}

/** A knot so much worse is not put forward for the sake of what speaks against it. */
const worthALook = 0.25;

/**
 * The first pick carries no verdict against it that the second does not. Of the knots nearly as good as the best, the
 * first that stands so against the best of the others is put first. Where each has a fault of its own the best stays,
 * and next to it stands the best of those that share what speaks against it.
 */
function withFitFirst(judged: readonly Unranked[]): readonly Unranked[] {
  const [top] = judged;
  if (!top?.feasible) return judged;
  const name = ({ properties, moves }: Unranked) => properties.family ?? moves;
  const sharesFaults = (one: Unranked, other: Unranked) => other.feasible && against(one).every((code) => against(other).includes(code));
  const bestBeside = (knot: Unranked) => judged.find((other) => name(other) !== name(knot));
  const near = judged.filter((knot) => knot.feasible && knot.score >= top.score - worthALook);
  const fit = near.find((knot) => {
    const beside = bestBeside(knot);
    return !beside?.feasible || sharesFaults(knot, beside);
  });
  const second = fit ? undefined : near.find((knot) => name(knot) !== name(top) && sharesFaults(top, knot));
  const put = [fit ?? top, ...(second ? [second] : [])];
  return put[0] === top && put.length === 1 ? judged : [...put, ...judged.filter((knot) => !put.includes(knot))];
}

function against({ reasons }: Unranked): readonly string[] {
  return reasons.filter(({ verdict }) => verdict === 'poor').map(({ code }) => code);
}

/** All of a knot that does not depend on who wears it in what. */
interface Candidate {
  readonly word: string;
  readonly code: string;
  readonly title: string;
  readonly winding: Winding;
  readonly stance: Stance | undefined;
  readonly properties: KnotProperties;
  readonly steps: Readonly<Record<Frame['blade'], readonly Step[]>>;
}

const catalogue = new Map<string, readonly Candidate[]>();

/** The words do not depend on the request, so each family is drawn up once a size. */
function candidates({ maxMoves, knots, manner, also }: Search): readonly Candidate[] {
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
  return {
    word: formatKnot(knot),
    code: knotCode(knot),
    title: knotTitle(knot),
    winding: windingOf(knot),
    stance: stanceOf(knot),
    properties: knotProperties(knot),
    steps: { right: stepsOf(knot, { view: 'own', blade: 'right' }), left: stepsOf(knot, { view: 'own', blade: 'left' }) },
  };
}

type Unranked = Omit<KnotPlan, 'rank'>;

/** What every knot of one request shares. */
interface Setting {
  readonly request: PlanRequest;
  readonly loopMm: number;
  readonly hang: Hang;
  readonly hanging: Hanging;
  readonly drop: FrontDrop;
  readonly collarClass: CollarClass;
  readonly landmarks: readonly Landmark[];
  readonly fingertip: Landmark;
  readonly say: (mm: number) => string;
}

function settingOf(request: PlanRequest): Setting {
  const { client, shirt, units } = request;
  const loopMm = client.neckMm + shirt.collarAllowanceMm;
  const hang = hangOf(request);
  return {
    request,
    loopMm,
    hang,
    hanging: hangingIn(hang),
    drop: frontDropOf(client),
    collarClass: classOf(shirt),
    landmarks: landmarksOf(client, shirt.buttonsMm),
    fingertip: fingertipOf(client.heightMm),
    say: (mm) => formatLength(mm, units),
  };
}

function judge({ word, code, title, winding, stance, properties, steps }: Candidate, setting: Setting): Unranked {
  const { request, loopMm, hang, hanging, drop, collarClass, say } = setting;
  const { client, shirt, tie, aim } = request;
  const calibration = calibrationOf(request.calibration, word);
  const aimedMm = drop.meanMm + aim.offsetMm;
  const dropMm =
    aim.level && winding.active === 'blade'
      ? levelDrop(winding, tie, { loopMm, calibration }, [aimedMm - aim.aboveMm, aimedMm + aim.belowMm])
      : aimedMm;

  const start = startFor(winding, tie, { loopMm, dropMm, calibration });
  const { tailMm, takeUpMm, bundle } = start;
  const shape = asWorn(asSeen(shapeOf(bundle, stance), calibration.shape, word), client.blade);
  const collar = collarFill(shirt, shape);
  const hidden = hiddenBy(shirt, shape, bandWidth(tie, loopMm, tailMm));
  // Where the blade is set to its length first, what the knot takes up cannot move its tip.
  const landing = landingAt(dropMm, winding.active === 'blade' ? takeUpMm : 0, drop, aim, calibration, dropMm - aimedMm);
  const { tail, refusal, shorterByMm } = endsOf({
    active: winding.active,
    start,
    loopMm,
    tipDropMm: dropMm,
    tipSdMm: landing.sdMm,
    keeperMm: tie.keeperMm,
    knotHeightMm: shape.heightMm,
    jacket: request.jacket,
  });
  // The blade, set to its length first, ends where it ends whatever the knot takes up.
  const along = alongLoops(calibration, winding.active === 'blade' ? takeUpMm : 0);
  const situation: Situation = { request, properties, shape, collar, collarClass, hidden, landing, tail, refusal, say };
  const { score, reasons } = judgeAll(situation);
  const bladeDropMm = tie.lengthMm - loopMm - tailMm;
  const set = winding.active === 'blade' ? { end: 'tail' as const, dropMm: tailMm } : { end: 'blade' as const, dropMm: bladeDropMm };
  const near = ({ name, kind, meanMm, sdMm }: Landmark, atMm: number): NearLandmark => ({
    name,
    kind,
    offsetMm: atMm - meanMm,
    tipSdMm: Math.hypot(landing.sdMm, usualGain * sdMm),
  });

  return {
    moves: word,
    code,
    title,
    names: properties.names,
    properties,
    steps: steps[client.blade],
    score,
    feasible: refusal === null,
    refusal: refusal && { ...refusal, text: refusalInWords(refusal, say) },
    takeUpMm,
    lengthNeededMm: tie.lengthMm - shorterByMm,
    gripNeeded: gripNeeded(properties),
    start: {
      set,
      tailDropMm: tailMm,
      bladeDropMm,
      differenceMm: bladeDropMm - tailMm,
      landmarks: setting.landmarks
        .map((landmark) => near(landmark, set.dropMm))
        .sort((a, b) => Math.abs(a.offsetMm) - Math.abs(b.offsetMm)),
      bladeLandmark: near(setting.fingertip, bladeDropMm),
      readings: { ...readingsOf(tailMm, hanging), tipSdMm: tipSdsOf(hang, set.end, landing.sdMm, along) },
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

/** What speaks for and against, and how much in all; what rules a knot out stands in its refusal. */
function judgeAll(situation: Situation): { score: number; reasons: Reason[] } {
  const heard = criteria.flatMap(({ code, weight, judge }): { code: string; weight: number; judgement: Judgement }[] => {
    const judgement = judge(situation);
    return judgement ? [{ code, weight, judgement }] : [];
  });
  const total = heard.reduce((sum, { weight }) => sum + weight, 0);
  const weighed = heard.reduce((sum, { weight, judgement }) => sum + weight * judgement.score, 0) / total;
  const left = heard.reduce((share, { judgement: { leaves = 1 } }) => share * leaves, 1);
  return {
    // What is wrong already is made no better by another fault.
    score: weighed > 0 ? weighed * left : weighed,
    // Of a knot that won't work there are no odds to tell.
    reasons: heard
      .filter(({ code, judgement: { text } }) => text !== '' && (situation.refusal === null || code !== landingCriterion.code))
      .map(({ code, judgement: { verdict, text } }) => ({ code, verdict, text })),
  };
}

function bestFirst(a: Unranked, b: Unranked): number {
  if (a.feasible !== b.feasible) return a.feasible ? -1 : 1;
  return missing(a) - missing(b) || b.score - a.score || a.properties.moves - b.properties.moves || a.moves.localeCompare(b.moves);
}

function missing({ refusal }: Unranked): number {
  return refusal?.byMm ?? 0;
}
