import type { Frame } from '../knot/frame.ts';
import type { KnotPlan } from '../plan/knotPlan.ts';
import type { PlanRequest } from '../plan/request.ts';
import { readingsOf } from '../tying/readings.ts';
import { hangingIn, hangOf } from './hang.ts';
import { tipSdsOf } from './reading.ts';

interface TiedOn {
  readonly label: string;
  /** How whoever ties sees it. */
  readonly view: Frame['view'];
  /** Whether the loop is tied elsewhere and handed over. */
  readonly handedOver: boolean;
  readonly says: string;
}

/** On whom a knot is tied, and what is then to be minded. */
export const tiedOn = {
  self: {
    label: 'the client ties',
    view: 'own',
    handedOver: false,
    says: 'At a mirror; say each step for the wearer’s own left and right.',
  },
  facing: {
    label: 'facing the client',
    view: 'facing',
    handedOver: false,
    says: 'Ask before touching; slide the knot up slowly and ask again.',
  },
  behind: {
    label: 'from behind',
    view: 'own',
    handedOver: false,
    says: 'Over the shoulders, with the wearer’s own left and right. Ask first; never pull back against the throat.',
  },
  ownNeck: {
    label: 'on the stylist’s neck',
    view: 'own',
    handedOver: true,
    says: 'Tie it, loosen the loop by the tail, lift it off and hand it over; the client draws it up.',
  },
  stand: { label: 'on a stand', view: 'facing', handedOver: true, says: 'Tie it, loosen the loop by the tail and lift it off.' },
} as const satisfies Record<string, TiedOn>;

export type TiedOnCode = keyof typeof tiedOn;
export const tiedOnCodes = Object.keys(tiedOn) as TiedOnCode[];

/** Another neck that a knot is tied on: the loop around it, and the body its landmarks are on, as far as known. mm */
export interface OtherNeck {
  readonly neckMm: number;
  readonly heightMm: number | null;
}

/** A tail read snug on another neck, as it is on the client's: the loops differ by as much as the necks do. */
export function tailOnClient(tailMm: number, request: PlanRequest, onOther: PlanRequest): number {
  return tailMm + onOther.client.neckMm - request.client.neckMm;
}

/**
 * A start for a client, as it is read on another neck before the knot is handed over. Drawing the loop up afterwards moves
 * cloth through the knot on the tail's side only, so the blade hangs alike on both, and the tail takes up what the loops
 * differ by. The other's own shirt buttons and belt are not known; without a height neither are points of the body.
 */
export function readOn(plan: KnotPlan, request: PlanRequest, other: OtherNeck): { readonly plan: KnotPlan; readonly request: PlanRequest } {
  const { client, shirt } = request;
  // What was learnt of the client’s own loops says nothing of another neck’s.
  const { loops: _, ...calibration } = request.calibration;
  const onOther: PlanRequest = {
    ...request,
    client: {
      ...client,
      neckMm: other.neckMm,
      heightMm: other.heightMm ?? client.heightMm,
      frontDropMm: null,
      openLoopMm: null,
      crossedLoopMm: null,
    },
    shirt: { ...shirt, buttonsMm: [] },
    calibration,
  };
  const tailDropMm = plan.start.tailDropMm + client.neckMm - other.neckMm;
  const { bladeDropMm, set } = plan.start;
  const hang = hangOf(onOther);
  return {
    request: onOther,
    plan: {
      ...plan,
      start: {
        ...plan.start,
        set: set.end === 'tail' ? { end: 'tail', dropMm: tailDropMm } : set,
        tailDropMm,
        differenceMm: bladeDropMm - tailDropMm,
        readings: { ...readingsOf(tailDropMm, hangingIn(hang)), tipSdMm: tipSdsOf(hang, set.end, plan.tip.sdMm) },
      },
    },
  };
}
