import equal from 'fast-deep-equal';
import { memo } from 'react';
import { curve, type Pt } from '../geometry/path.ts';
import { type Ink, inkColour } from './ink.ts';
import { Note } from './Note.tsx';
import { useMmPerPx } from './Sheet.tsx';

interface DimensionProps {
  readonly from: Pt;
  readonly to: Pt;
  readonly label?: string;
  readonly ink: Ink;
  /** Which side of the line the label stands on. */
  readonly place?: 'above' | 'below' | 'right' | 'left';
  readonly size?: number;
  /** Where along the line the label stands, 0 to 1. */
  readonly labelAt?: number;
}

const placing = {
  above: { dx: 0, dy: -7, anchor: 'middle' },
  below: { dx: 0, dy: 17, anchor: 'middle' },
  right: { dx: 8, dy: 4, anchor: 'start' },
  left: { dx: -8, dy: 4, anchor: 'end' },
} as const;

/** A measured line with end ticks and its figure. */
export const Dimension = memo(function Dimension({ from, to, label, ink, place = 'above', size = 13, labelAt = 0.5 }: DimensionProps) {
  const mmPerPx = useMmPerPx();
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  const tick = 5 * mmPerPx;
  const across: Pt = [(-(to[1] - from[1]) / length) * tick, ((to[0] - from[0]) / length) * tick];
  const along = curve`M${from[0]} ${from[1]}L${to[0]} ${to[1]}`;
  const ticks = [from, to].map(([x, y]) => curve`M${x - across[0]} ${y - across[1]}L${x + across[0]} ${y + across[1]}`);
  const { dx, dy, anchor } = placing[place];
  return (
    <g stroke={inkColour[ink]} strokeWidth={1.5 * mmPerPx} strokeLinecap="round">
      <path d={along} stroke="var(--color-ground)" strokeOpacity="0.85" strokeWidth={5 * mmPerPx} />
      <path d={along + ticks.join('')} />
      {label !== undefined && (
        <Note
          x={from[0] + (to[0] - from[0]) * labelAt + dx * mmPerPx}
          y={from[1] + (to[1] - from[1]) * labelAt + dy * mmPerPx}
          anchor={anchor}
          ink={ink}
          size={size}
          figure
        >
          {label}
        </Note>
      )}
    </g>
  );
}, equal);
