import type { ReactNode } from 'react';
import { type Ink, inkColour } from './ink.ts';
import { useMmPerPx } from './Sheet.tsx';

interface NoteProps {
  readonly x: number;
  readonly y: number;
  /** Size on screen, px. */
  readonly size?: number;
  readonly ink?: Ink;
  readonly anchor?: 'start' | 'middle' | 'end';
  readonly figure?: boolean;
  readonly children: ReactNode;
}

/** Words on a drawing, at a steady size on screen, with a halo of the ground so that lines may pass behind. */
export function Note({ x, y, size = 13, ink = 'plain', anchor = 'start', figure = false, children }: NoteProps) {
  const mmPerPx = useMmPerPx();
  return (
    <text
      x={x}
      y={y}
      fontSize={size * mmPerPx}
      textAnchor={anchor}
      fill={inkColour[ink]}
      stroke="var(--color-ground)"
      strokeWidth={3 * mmPerPx}
      paintOrder="stroke"
      strokeLinejoin="round"
      className={figure ? 'figures' : undefined}
    >
      {children}
    </text>
  );
}
