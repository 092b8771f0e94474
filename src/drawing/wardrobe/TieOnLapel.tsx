import { memo } from 'react';
import type { Tie } from '../../core/index.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { FabricDefs } from '../fabric/FabricDefs.tsx';
import { fabricFill } from '../fabric/fabricFill.ts';
import { type Pt, polygon } from '../geometry/path.ts';
import { halfWidths } from '../tie/outline.ts';

interface TieOnLapelProps {
  readonly id: string;
  readonly tie: Tie;
  readonly cloth: FabricLook;
  /** `undefined` without a jacket. */
  readonly lapelMm: number | undefined;
}

/** So much of each tie is shown, at one scale for all, so that widths compare. */
const shownMm = 270;
const halfMm = 58;

/** A blade laid over the lapel, as it is held there to compare: the lapel's width lies beneath as a band. Decorative: the words beside it say the same. */
export const TieOnLapel = memo(function TieOnLapel({ id, tie, cloth, lapelMm }: TieOnLapelProps) {
  const stations = halfWidths(tie, 0, shownMm);
  const upper = stations.map(({ atMm, halfMm: half }): Pt => [atMm, -half]);
  const lower = stations.map(({ atMm, halfMm: half }): Pt => [atMm, half]).reverse();
  return (
    <svg viewBox={`-24 ${-halfMm} ${shownMm + 24} ${2 * halfMm}`} className="h-full w-full" aria-hidden="true">
      <defs>
        <FabricDefs id={id} cloth={cloth} />
      </defs>
      {lapelMm !== undefined && (
        <g>
          <rect x={-24} y={-lapelMm / 2} width={shownMm + 24} height={lapelMm} fill="var(--color-set)" fillOpacity="0.1" />
          <path
            d={`M-24 ${-lapelMm / 2}H${shownMm}M-24 ${lapelMm / 2}H${shownMm}`}
            stroke="var(--color-set)"
            strokeWidth="1.6"
            strokeDasharray="7 5"
          />
        </g>
      )}
      <path d={polygon([...upper, ...lower])} fill={fabricFill(id, 'down')} stroke="#000" strokeOpacity="0.5" strokeWidth="1" />
    </svg>
  );
});
