import { completeRequest, type KnotPlan, type PlanQuestion, type PlanRequest, parseKnot, stepsOf } from '../core/index.ts';
import { knotCode, knotTitle } from '../core/knot/code.ts';
import { knotProperties } from '../core/knot/properties.ts';
import { refusalInWords } from '../core/plan/criteria/tail.ts';
import type { Refusal } from '../core/plan/tail.ts';
import { crossedLoopOf, openLoopOf, readingsOf } from '../core/tying/readings.ts';
import type { KnotShape } from '../core/tying/shape.ts';
import { formatLength } from '../core/units/length.ts';

/** The shape in which answers are kept today. Older ones are brought up at the door, and nowhere cast. */
export const answerVersion = 2;

/** An answer with the question it was given for, as it was kept. */
export interface KeptAnswer {
  readonly version: number;
  readonly request: unknown;
  readonly answer: unknown;
}

export interface BroughtUp {
  readonly request: PlanRequest;
  readonly answer: KnotPlan;
}

/**
 * Brings a kept question and answer to today's shape: its figures as they were, its words as they are said now.
 * Throws where the shape is later than this program's own, or is none.
 */
export function broughtUp({ version, request, answer }: KeptAnswer): BroughtUp {
  if (version > answerVersion) throw new Error(`An answer of version ${version} was kept by a later Ropewalk than this one.`);
  const complete = completeRequest(request as PlanQuestion);
  const now = version === answerVersion ? (answer as KnotPlan) : fromFirst(answer as FirstAnswer, complete);
  if (!isReadable(now)) throw new Error('The answer that was kept is damaged.');
  return { request: complete, answer: now };
}

/** What no view of a kept answer can do without, and what each is. */
const wanted: Readonly<Record<string, 'number' | 'string' | 'list'>> = {
  moves: 'string',
  title: 'string',
  code: 'string',
  names: 'list',
  steps: 'list',
  reasons: 'list',
  takeUpMm: 'number',
  'properties.moves': 'number',
  'start.set.end': 'string',
  'start.set.dropMm': 'number',
  'start.landmarks': 'list',
  ...Object.fromEntries(
    ['open', 'crossed', 'snug'].flatMap((state) => [
      [`start.readings.${state}.tailDropMm`, 'number'],
      [`start.readings.${state}.bladeDropMm`, 'number'],
    ]),
  ),
  'tip.dropMm': 'number',
  'tip.sdMm': 'number',
  'tail.dropMm': 'number',
  'shape.topMm': 'number',
  'shape.heightMm': 'number',
  'collar.fill': 'number',
};

function isReadable(answer: unknown): boolean {
  return Object.entries(wanted).every(([path, is]) => {
    let at: unknown = answer;
    for (const key of path.split('.')) at = (at as Readonly<Record<string, unknown>> | null | undefined)?.[key];
    return is === 'list' ? Array.isArray(at) : is === 'number' ? Number.isFinite(at) : typeof at === 'string';
  });
}

/** How the first version kept an answer; what later revisions of it added may be missing. */
interface FirstAnswer extends Omit<KnotPlan, 'code' | 'title' | 'steps' | 'refusal' | 'start' | 'shape' | 'tail'> {
  readonly tailFault?: { readonly kind: 'none' | 'too-short' | 'peeps-out'; readonly byMm?: number };
  readonly start: Omit<KnotPlan['start'], 'set' | 'readings' | 'landmarks' | 'bladeLandmark'> & {
    readonly sets?: 'tail' | 'blade';
    readonly landmarks: readonly FirstLandmark[];
    readonly bladeLandmark: FirstLandmark;
  };
  readonly shape: KnotShape & { readonly tiltDeg?: number; readonly overhangDeg?: number; readonly depthMm?: number };
  readonly tail: Omit<KnotPlan['tail'], 'works'>;
}

type FirstLandmark = Omit<KnotPlan['start']['landmarks'][number], 'tipSdMm'>;

/** The first version told a start with the ends crossed at the gap; it is the same start, told snug. */
function fromFirst({ tailFault, start, shape, tail, ...rest }: FirstAnswer, { client, shirt, tie, units }: PlanRequest): KnotPlan {
  const knot = parseKnot(rest.moves);
  const properties = knotProperties(knot);
  const loopMm = client.neckMm + shirt.collarAllowanceMm;
  const gapMm = client.crossingGapMm;
  const { sets = 'tail', landmarks, bladeLandmark, ...drops } = start;
  const tailDropMm = drops.tailDropMm + gapMm;
  const bladeDropMm = tie.lengthMm - loopMm - tailDropMm;
  const refusal = refusalOf(tailFault, properties.active);
  const near = (landmark: FirstLandmark) => ({ ...landmark, tipSdMm: rest.tip.sdMm });
  return {
    ...rest,
    code: knotCode(knot),
    title: knotTitle(knot),
    names: properties.names,
    properties,
    steps: stepsOf(knot, { view: 'own', blade: client.blade }),
    refusal: refusal && { ...refusal, text: refusalInWords(refusal, (mm) => formatLength(mm, units)) },
    start: {
      ...drops,
      set: sets === 'tail' ? { end: 'tail', dropMm: tailDropMm } : { end: 'blade', dropMm: bladeDropMm },
      tailDropMm,
      bladeDropMm,
      differenceMm: bladeDropMm - tailDropMm,
      landmarks: landmarks.map(near),
      bladeLandmark: near(bladeLandmark),
      readings: readingsOf(tailDropMm, {
        lengthMm: tie.lengthMm,
        loopMm,
        openLoopMm: openLoopOf(loopMm).meanMm,
        crossedLoopMm: crossedLoopOf(loopMm, gapMm).meanMm,
        gapMm,
      }),
    },
    shape: { ...shape, tiltDeg: shape.tiltDeg ?? 0, overhangDeg: shape.overhangDeg ?? 0, depthMm: shape.depthMm ?? 0 },
    tail: { ...tail, works: refusal ? 0 : 1 },
    reasons: rest.reasons.map((reason) => (reason.code === 'narrow-end' ? { ...reason, code: 'tail' } : reason)),
  };
}

function refusalOf(fault: FirstAnswer['tailFault'], active: 'blade' | 'narrow'): Refusal | null {
  switch (fault?.kind) {
    case 'too-short':
      return { code: 'tail-too-short', byMm: fault.byMm ?? 0 };
    case 'peeps-out':
      return { code: active === 'narrow' ? 'tail-too-long-to-hide' : 'tail-below-blade', byMm: fault.byMm ?? 0 };
    default:
      return null;
  }
}
