import type { KnotPlan, PlanRequest } from '../../core/index.ts';
import type { StateCode } from '../../core/start/reading.ts';
import { widthAt } from '../../core/tie/width.ts';
import { fabricFill } from '../fabric/fabricFill.ts';
import { type Pt, polygon } from '../geometry/path.ts';
import { type View, wearersLeft } from '../geometry/view.ts';
import { hangingEnd } from '../tie/outline.ts';

interface HungTieProps {
  readonly id: string;
  readonly request: PlanRequest;
  readonly plan: KnotPlan;
  readonly view: View;
  readonly neckHalfMm: number;
  /** How it lies while its start is read. */
  readonly state: StateCode;
}

/** How far up each end runs before it goes under the collar. */
const shoulderMm = 24;
/** Crossed, the ends hang this share of the way from the middle to where they hang open, on the other side. */
const crossedAside = 0.5;

/** The tie around the neck before the first move, as it lies while its start is read: each end where the start puts it. */
export function HungTie({ id, request, plan, view, neckHalfMm, state }: HungTieProps) {
  const { client, tie, shirt } = request;
  const from = bladeSideX(client.blade, view, neckHalfMm);
  const x = bladeHangsX(client.blade, view, neckHalfMm, state);
  const { bladeDropMm, tailDropMm } = plan.start.readings[state];
  const crossY = state === 'crossed' ? client.crossingGapMm : 0;
  const isCrossed = state !== 'open';
  // Crossed, an end begins at the crossing; open, under the collar.
  const longMm = (dropMm: number) => dropMm + (isCrossed ? -crossY : shoulderMm);
  const loopMm = client.neckMm + shirt.collarAllowanceMm;
  const arm = (side: number, atMm: number): Pt[] => armTo(side, crossY, widthAt(tie, atMm));
  return (
    <g fill={fabricFill(id, 'down')} stroke="#000" strokeOpacity="0.5" strokeWidth="0.7" strokeLinejoin="round">
      <path d={polygon(hangingEnd(tie, 'tail', longMm(tailDropMm), -x, tailDropMm))} />
      {isCrossed && <path d={polygon(arm(-from, tie.lengthMm - plan.start.tailDropMm))} />}
      <path d={polygon(hangingEnd(tie, 'blade', longMm(bladeDropMm), x, bladeDropMm))} />
      {isCrossed && <path d={polygon(arm(from, tie.lengthMm - plan.start.tailDropMm - loopMm))} />}
    </g>
  );
}

/** The stretch of an end from the side of the neck to past the crossing. */
function armTo(x: number, crossY: number, widthMm: number): Pt[] {
  const half = widthMm / 2;
  const past = -Math.sign(x) * half;
  return [
    [x - half * 0.6, -shoulderMm],
    [x + half * 0.6, -shoulderMm],
    [past + half * 0.7, crossY + half * 0.6],
    [past - half * 0.7, crossY + half * 0.6],
  ];
}

/** From which side of the neck the blade comes, to the viewer's right when positive. */
function bladeSideX(blade: 'left' | 'right', view: View, neckHalfMm: number): number {
  return (blade === 'left' ? 1 : -1) * wearersLeft(view) * (neckHalfMm * 0.92);
}

/** Where the blade hangs: on its own side, or, the ends crossed, on the other. The tail hangs opposite. */
export function bladeHangsX(blade: 'left' | 'right', view: View, neckHalfMm: number, state: StateCode): number {
  const x = bladeSideX(blade, view, neckHalfMm);
  return state === 'open' ? x : -crossedAside * x;
}
