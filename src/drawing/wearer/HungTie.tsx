import type { KnotPlan, PlanRequest } from '../../core/index.ts';
import { fabricFill } from '../fabric/fabricFill.ts';
import { polygon } from '../geometry/path.ts';
import { type View, wearersLeft } from '../geometry/view.ts';
import { hangingEnd } from '../tie/outline.ts';

interface HungTieProps {
  readonly id: string;
  readonly request: PlanRequest;
  readonly plan: KnotPlan;
  readonly view: View;
  readonly neckHalfMm: number;
}

/** The tie around the neck before the first move: each end where the start puts it. */
export function HungTie({ id, request, plan, view, neckHalfMm }: HungTieProps) {
  const { client, tie } = request;
  const x = bladeSideX(client.blade, view, neckHalfMm);
  const blade = hangingEnd(tie, 'blade', plan.start.bladeDropMm + shoulderMm, x, plan.start.bladeDropMm);
  const tail = hangingEnd(tie, 'tail', plan.start.tailDropMm + shoulderMm, -x, plan.start.tailDropMm);
  return (
    <g fill={fabricFill(id, 'down')} stroke="#000" strokeOpacity="0.5" strokeWidth="0.7">
      <path d={polygon(tail)} />
      <path d={polygon(blade)} />
    </g>
  );
}

/** How far up each end runs before it goes under the collar. */
const shoulderMm = 24;

/** Where the blade hangs, to the viewer's right when positive. */
export function bladeSideX(blade: 'left' | 'right', view: View, neckHalfMm: number): number {
  return (blade === 'left' ? 1 : -1) * wearersLeft(view) * (neckHalfMm * 0.92);
}
