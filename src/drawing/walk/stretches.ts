import type { KnotPlan, PlanRequest } from '../../core/index.ts';

export type StretchCode = 'tail' | 'around' | 'take-up' | 'hang';

/** One stretch of the tie laid flat, counted from the narrow tip, mm. */
export interface Stretch {
  readonly code: StretchCode;
  readonly label: string;
  readonly fromMm: number;
  readonly toMm: number;
}

export interface WalkLayout {
  readonly stretches: readonly Stretch[];
  /** The place on the tie that is held at the collar button when it is hung. */
  readonly atButtonMm: number;
}

/** Where each part of the tie ends up in the finished knot. */
export function walkLayout({ client, shirt, tie }: PlanRequest, plan: KnotPlan): WalkLayout {
  const tail = plan.start.tailDropMm + client.crossingGapMm;
  const loop = client.neckMm + shirt.collarAllowanceMm;
  const knotFrom = tail + loop;
  const knotTo = knotFrom + plan.takeUpMm;
  return {
    stretches: [
      { code: 'tail', label: 'tail', fromMm: 0, toMm: tail },
      { code: 'around', label: 'around the neck', fromMm: tail, toMm: knotFrom },
      { code: 'take-up', label: 'taken up by the knot', fromMm: knotFrom, toMm: knotTo },
      { code: 'hang', label: 'hangs', fromMm: knotTo, toMm: tie.lengthMm },
    ],
    atButtonMm: plan.start.tailDropMm,
  };
}
