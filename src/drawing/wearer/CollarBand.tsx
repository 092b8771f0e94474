import { bandEdge } from '../../core/collar/hides.ts';
import type { KnotPlan, PlanRequest } from '../../core/index.ts';
import { bandWidth } from '../../core/tie/width.ts';
import { fabricFill } from '../fabric/fabricFill.ts';
import { type Pt, polygon } from '../geometry/path.ts';

interface CollarBandProps {
  readonly id: string;
  readonly request: PlanRequest;
  readonly plan: KnotPlan;
  readonly neckHalfMm: number;
}

/** So far outside the neck the band goes around to the back. */
const besideNeckMm = 10;

/** The tie's band as it comes down both sides of the stand to the knot: what leaves and knot don't cover of it is what shows. */
export function CollarBand({ id, request, plan, neckHalfMm }: CollarBandProps) {
  const { client, shirt, tie } = request;
  const widthMm = bandWidth(tie, client.neckMm + shirt.collarAllowanceMm, plan.start.tailDropMm);
  const { from, slope } = bandEdge(shirt, widthMm);
  const end = neckHalfMm + besideNeckMm;
  const arm = (side: 1 | -1): Pt[] => [
    [0, from],
    [side * end, from - slope * end],
    [side * end, from - slope * end - widthMm],
    [0, from - widthMm],
  ];
  return (
    <g fill={fabricFill(id, 'aside')} stroke="#000" strokeOpacity="0.5" strokeWidth="0.7">
      <path d={polygon(arm(-1))} />
      <path d={polygon(arm(1))} />
    </g>
  );
}
