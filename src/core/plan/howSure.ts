import { frontDropOf } from '../body/frontDrop.ts';
import { measures } from '../measures/measures.ts';
import { normalFrom, randomFrom } from '../numeric/random.ts';
import { plan } from './plan.ts';
import { completeRequest, type PlanQuestion, type PlanRequest } from './request.ts';

/** A measure that is known only so far. */
interface Uncertain {
  readonly code: string;
  /** What a stylist would take to know it better. */
  readonly take: string;
  /** How far it may be off, mm, one standard deviation; 0 where it does not come in. */
  readonly sdMm: (request: PlanRequest) => number;
  readonly shift: (question: PlanRequest, byMm: number) => PlanRequest;
}

const shirtBy = (key: 'collarPointMm' | 'collarSpreadMm') => (request: PlanRequest, byMm: number) => ({
  ...request,
  shirt: { ...request.shirt, [key]: request.shirt[key] + byMm },
});
const tieBy = (key: 'lengthMm' | 'bladeMm' | 'thicknessMm') => (request: PlanRequest, byMm: number) => ({
  ...request,
  tie: { ...request.tie, [key]: request.tie[key] + byMm },
});

/** What is read off with a tape, a calliper or by eye, and how well (one standard deviation). */
const uncertain: readonly Uncertain[] = [
  {
    code: 'frontDropMm',
    take: 'collar button to belt, with a tape',
    sdMm: ({ client, calibration }) => calibration.client.sdMm ?? frontDropOf(client).sdMm,
    shift: (request, byMm) => {
      const { meanMm, measured } = frontDropOf(request.client);
      // Another place of it makes it no better known: the chances stay those of the plan.
      const frontDropHow = measured ? 'tape' : 'estimate';
      return { ...request, client: { ...request.client, frontDropMm: meanMm + byMm, frontDropHow } };
    },
  },
  {
    code: 'neckMm',
    take: 'the collar size',
    sdMm: () => 5,
    shift: (request, byMm) => ({ ...request, client: { ...request.client, neckMm: request.client.neckMm + byMm } }),
  },
  { code: 'collarSpreadMm', take: 'the collar, from point to point', sdMm: () => 4, shift: shirtBy('collarSpreadMm') },
  { code: 'collarPointMm', take: 'the collar’s point length', sdMm: () => 2, shift: shirtBy('collarPointMm') },
  { code: 'lengthMm', take: 'the tie’s length, laid flat', sdMm: () => 6, shift: tieBy('lengthMm') },
  { code: 'bladeMm', take: 'the blade’s width', sdMm: () => 1.5, shift: tieBy('bladeMm') },
  { code: 'thicknessMm', take: 'the fabric’s thickness, pinched at mid-blade', sdMm: () => 0.25, shift: tieBy('thicknessMm') },
  {
    code: 'lapelMm',
    take: 'the lapel at its broadest',
    sdMm: ({ jacket }) => (jacket ? 2 : 0),
    shift: (request, byMm) =>
      request.jacket ? { ...request, jacket: { ...request.jacket, lapelMm: request.jacket.lapelMm + byMm } } : request,
  },
];

export interface FirstShare {
  readonly title: string;
  /** Of the samples in which it stays first. */
  readonly share: number;
}

export interface HowSure {
  readonly samples: number;
  readonly seed: number;
  /** The knots that come first in any sample, the most frequent first. */
  readonly firsts: readonly FirstShare[];
  /** The measure whose true value, once known, would settle most; `surer` is what share of the doubt it would take away. */
  readonly settledBy: { readonly code: string; readonly take: string; readonly surer: number } | undefined;
}

const strata = 8;
/** What one measure settles less of than this is chance. */
const worthTaking = 0.08;

/**
 * How often each knot stays first when everything that is known only so far lies a little otherwise, and which measure
 * would settle it. Yields how many samples are done, every `every` of them; deterministic by its seed.
 */
export function* howSure(question: PlanQuestion, samples: number, seed: number, every = 25): Generator<number, HowSure> {
  const request = completeRequest(question);
  const normal = normalFrom(randomFrom(seed));
  const inPlay = uncertain.map((each) => ({ ...each, sd: each.sdMm(request) })).filter(({ sd }) => sd > 0);
  const drawn: { readonly first: string; readonly off: readonly number[] }[] = [];
  for (let i = 0; i < samples; i++) {
    const off = inPlay.map(() => normal());
    const shifted = inPlay.reduce((asked, { shift, sd }, at) => shift(asked, sd * (off[at] ?? 0)), request);
    const [best] = plan(withinRanges(shifted)).knots;
    if (best) drawn.push({ first: best.properties.family ?? best.title, off });
    if ((i + 1) % every === 0) yield i + 1;
  }
  const firsts = shares(drawn.map(({ first }) => first));
  const most = firsts[0]?.share ?? 1;
  const settled = inPlay
    .map(({ code, take }, at) => ({ code, take, surer: most >= 1 ? 0 : (withKnown(drawn, at) - most) / (1 - most) }))
    .reduce<HowSure['settledBy']>((best, each) => (best && best.surer >= each.surer ? best : each), undefined);
  return { samples: drawn.length, seed, firsts, settledBy: settled && settled.surer >= worthTaking ? settled : undefined };
}

/** A sample far out is brought back to what can be: a plan is made of sound measures only. */
function withinRanges(request: PlanRequest): PlanRequest {
  const { shirt } = request;
  const hold = (mm: number, { minMm, maxMm }: { readonly minMm: number; readonly maxMm: number }) => Math.min(maxMm, Math.max(minMm, mm));
  const collarPointMm = hold(shirt.collarPointMm, measures.shirt.collarPointMm);
  const widest = 2 * collarPointMm + shirt.tieSpaceMm - 2;
  return {
    ...request,
    shirt: { ...shirt, collarPointMm, collarSpreadMm: Math.min(widest, Math.max(shirt.tieSpaceMm + 4, shirt.collarSpreadMm)) },
    tie: { ...request.tie, thicknessMm: hold(request.tie.thicknessMm, measures.tie.thicknessMm) },
  };
}

function shares(firsts: readonly string[]): FirstShare[] {
  const counts = new Map<string, number>();
  for (const title of firsts) counts.set(title, (counts.get(title) ?? 0) + 1);
  return [...counts].map(([title, count]) => ({ title, share: count / firsts.length })).sort((a, b) => b.share - a.share);
}

/** How often the most frequent first would be named if this one measure were known, to an eighth of its spread. */
function withKnown(drawn: readonly { readonly first: string; readonly off: readonly number[] }[], at: number): number {
  const sorted = drawn.toSorted((a, b) => (a.off[at] ?? 0) - (b.off[at] ?? 0));
  const size = Math.ceil(sorted.length / strata);
  let named = 0;
  for (let from = 0; from < sorted.length; from += size) {
    const part = sorted.slice(from, from + size);
    named += (shares(part.map(({ first }) => first))[0]?.share ?? 0) * part.length;
  }
  return named / sorted.length;
}
