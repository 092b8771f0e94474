import { memo } from 'react';
import type { Tie } from '../../core/index.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { FabricDefs } from '../fabric/FabricDefs.tsx';
import { fabricFill } from '../fabric/fabricFill.ts';
import { polygon } from '../geometry/path.ts';
import { hangingEnd } from '../tie/outline.ts';

/** How much of each tie shows below the rail; one scale for all, so that widths compare. */
const shownMm = 330;
const halfMm = 66;

/** A tie as it hangs folded over a rail: the blade in front. Decorative: the words beside it say the same. */
export const HangingTie = memo(function HangingTie({
  id,
  tie,
  cloth,
}: {
  readonly id: string;
  readonly tie: Tie;
  readonly cloth: FabricLook;
}) {
  const blade = polygon(hangingEnd(tie, 'blade', shownMm, 0, shownMm));
  const tail = polygon(hangingEnd(tie, 'tail', shownMm - 60, 12, shownMm - 60));
  return (
    <svg viewBox={`${-halfMm} -12 ${2 * halfMm} ${shownMm + 20}`} className="h-full w-full" aria-hidden="true">
      <defs>
        <FabricDefs id={id} cloth={cloth} />
      </defs>
      <g fill={fabricFill(id, 'down')} stroke="#000" strokeOpacity="0.5" strokeWidth="1">
        <path d={tail} />
        <path d={tail} fill="#000" fillOpacity="0.3" />
        <path d={blade} />
      </g>
      <path d={`M${-halfMm} 0H${halfMm}`} stroke="var(--color-ink)" strokeWidth="7" />
    </svg>
  );
});
