import { frontDropOf } from '../body/frontDrop.ts';
import { loopSdMm } from '../plan/landing.ts';
import type { PlanRequest } from '../plan/request.ts';
import { type Calibration, calibrationFrom, uncalibrated } from './calibration.ts';
import { clientEffect, type EffectName, type Mix, type Priors } from './effects.ts';
import { after, type Known, nothingKnown, type Observation } from './known.ts';
import { type LearnRecord, tipMix } from './learn.ts';
import { type LooksLearnt, shapeLearnt } from './shapes.ts';

/** What the fit book says of one client, one pair of hands and the ties at reach. A value: it crosses the wire. */
export interface LearntHere {
  readonly known: Known;
  readonly looks: LooksLearnt;
  /** By what whoever ties is known; empty for a hand that was not named. */
  readonly stylist: string;
  readonly clientId: string | null;
  /** The client’s effect where one was learnt, and the collar button to belt that it is told against, mm. */
  readonly client: { readonly effect: EffectName; readonly dropMm: number; readonly measured: boolean } | null;
  /** Of how many tyings each effect was learnt. */
  readonly counts: Readonly<Partial<Record<EffectName, number>>>;
  /** The client’s latest fittings that the book has learnt from, by their ids: what was tied there is not to be counted again. */
  readonly fittings: readonly string[];
}

/** A tying of this very fitting. */
export type SeenHere = Pick<LearnRecord, 'tie' | 'knot' | 'takeUpMm' | 'tipErrorMm' | 'openBy' | 'crossedBy'> & {
  readonly noiseMm: number;
};

export const nothingLearnt: LearntHere = {
  known: nothingKnown(),
  looks: {},
  stylist: '',
  clientId: null,
  client: null,
  counts: {},
  fittings: [],
};

/** By what a client is known who has no record yet. */
const atHand = 'at-hand';
/** Nearer than this two drops are the same one, mm. */
const sameDropMm = 0.5;

/**
 * What the book and the tyings of this fitting teach of the next one in a tie. A tape used since narrows a drop that was
 * learnt against an estimate; another drop that was measured (other trousers) is one that nothing is known of yet.
 */
export function calibrationHere(learnt: LearntHere, seen: readonly SeenHere[], request: PlanRequest, tie: string): Calibration {
  if (seen.length === 0 && learnt.known.effects.length === 0 && Object.keys(learnt.looks).length === 0) return request.calibration;
  const drop = frontDropOf(request.client);
  const shiftMm = learnt.client ? drop.meanMm - learnt.client.dropMm : 0;
  const isOther = Math.abs(shiftMm) > sameDropMm;
  const client = learnt.client && !(isOther && learnt.client.measured) ? learnt.client : null;
  const clientId = learnt.clientId ?? atHand;
  const effect = client?.effect ?? clientEffect(`${clientId}${isOther ? '/now' : ''}`, drop.measured);
  const taped: Observation[] =
    client && isOther && drop.measured ? [{ of: [[effect, 1]], value: -shiftMm, sd: Math.hypot(drop.sdMm, loopSdMm) }] : [];
  const shift = client ? shiftMm : 0;
  const observations = seen.map((each): Observation => {
    const mix: Mix = tipMix({ ...each, stylist: learnt.stylist, client: clientId, dropMeasured: false });
    return {
      of: mix.map(([name, by]) => [name.startsWith('client/') ? effect : name, by] as const),
      value: each.tipErrorMm - shift,
      sd: each.noiseMm,
    };
  });
  const known = after(withPriorOf(learnt.known, request), [...taped, ...observations]);
  const shape = shapeLearnt(learnt.looks, tie);
  const calibration = calibrationFrom(known, { stylist: learnt.stylist, client: effect, clientId, tie, loopSdMm, shiftMm: shift });
  // A client nothing was learnt of stays as well known as the measures make them.
  const isLearnt = known.effects.includes(effect);
  return { ...calibration, ...(!isLearnt && { client: request.calibration.client }), ...(shape && { shape }) };
}

/** A client nothing was learnt of is as far off as the drop in use and the loop are. */
function withPriorOf(known: Known, { client, calibration }: PlanRequest): Known {
  const sd = Math.hypot(calibration.client.sdMm ?? frontDropOf(client).sdMm, loopSdMm);
  const priors: Priors = { ...known.priors, client: sd, clientMeasured: sd };
  return { ...known, priors };
}

/** A request as if nothing had been learnt. */
export function untaught(request: PlanRequest): PlanRequest {
  const { sdMm } = request.calibration.client;
  return { ...request, calibration: { ...uncalibrated, client: { meanMm: 0, sdMm } } };
}
