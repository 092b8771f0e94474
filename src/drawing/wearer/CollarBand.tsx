import type { KnotPlan, PlanRequest } from '../../core/index.ts';
import { widthAt } from '../../core/tie/width.ts';
import { fabricFill } from '../fabric/fabricFill.ts';
import { type Pt, polygon } from '../geometry/path.ts';
import { type View, wearersLeft } from '../geometry/view.ts';

interface CollarBandProps {
  readonly id: string;
  readonly request: PlanRequest;
  readonly plan: KnotPlan;
  readonly view: View;
  readonly neckHalfMm: number;
}

/** Shares of its width by which the band folds under the collar. */
const fold = 0.6;

/** The two arms of the loop, from the knot's shoulders up under the leaves: seen only where the collar leaves room. */
export function CollarBand({ id, request, plan, view, neckHalfMm }: CollarBandProps) {
  const { client, shirt, tie } = request;
  const tailSide = tie.lengthMm - plan.start.tailDropMm;
  const bladeSide = tailSide - client.neckMm - shirt.collarAllowanceMm;
  // The blade's arm comes down on the side where the blade started.
  const bladeArm = (client.blade === 'left' ? 1 : -1) * wearersLeft(view);
  const arm = (side: number, widthMm: number): Pt[] => {
    const half = (widthMm * fold) / 2;
    const bottom: Pt = [side * plan.shape.topMm * 0.26, 8];
    const top: Pt = [side * (neckHalfMm - 4), -34];
    const along = Math.hypot(top[0] - bottom[0], top[1] - bottom[1]);
    const across: Pt = [-((top[1] - bottom[1]) / along) * half, ((top[0] - bottom[0]) / along) * half];
    return [
      [bottom[0] + across[0], bottom[1] + across[1]],
      [top[0] + across[0], top[1] + across[1]],
      [top[0] - across[0], top[1] - across[1]],
      [bottom[0] - across[0], bottom[1] - across[1]],
    ];
  };
  return (
    <g fill={fabricFill(id, 'aside')} stroke="#000" strokeOpacity="0.5" strokeWidth="0.7">
      <path d={polygon(arm(-bladeArm, widthAt(tie, tailSide)))} />
      <path d={polygon(arm(bladeArm, widthAt(tie, bladeSide)))} />
    </g>
  );
}
