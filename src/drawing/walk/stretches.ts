import type { KnotPlan, PlanRequest } from '../../core/index.ts';

export type StretchCode = 'tail' | 'around' | 'take-up' | 'hang';

/** One stretch of the tie laid flat, counted from the tail tip, mm. */
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
  const loop = client.neckMm + shirt.collarAllowanceMm;
  const { set, tailDropMm: atButtonMm } = plan.start;
  if (set.end === 'blade') {
    const hang = tie.lengthMm - set.dropMm;
    const rest = hang - loop - plan.takeUpMm;
    return {
      stretches: [
        { code: 'tail', label: 'under the collar', fromMm: 0, toMm: rest },
        { code: 'take-up', label: 'taken up by the knot', fromMm: rest, toMm: hang - loop },
        { code: 'around', label: 'around the neck', fromMm: hang - loop, toMm: hang },
        { code: 'hang', label: 'hangs', fromMm: hang, toMm: tie.lengthMm },
      ],
      atButtonMm,
    };
  }
  const tail = set.dropMm;
  const knotFrom = tail + loop;
  const knotTo = knotFrom + plan.takeUpMm;
  return {
    stretches: [
      { code: 'tail', label: 'tail', fromMm: 0, toMm: tail },
      { code: 'around', label: 'around the neck', fromMm: tail, toMm: knotFrom },
      { code: 'take-up', label: 'taken up by the knot', fromMm: knotFrom, toMm: knotTo },
      { code: 'hang', label: 'hangs', fromMm: knotTo, toMm: tie.lengthMm },
    ],
    atButtonMm,
  };
}
