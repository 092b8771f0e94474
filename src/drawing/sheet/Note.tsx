import equal from 'fast-deep-equal';
import { memo } from 'react';
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
  /** Words behind a figure, softer and smaller. */
  readonly behind?: string;
  /** Words and figures only. */
  readonly children: string | readonly (string | number)[];
}

/** Words on a drawing, at a steady size on screen, with a halo of the ground so that lines may pass behind. */
export const Note = memo(function Note({ x, y, size = 13, ink = 'plain', anchor = 'start', figure = false, behind, children }: NoteProps) {
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
      {behind !== undefined && (
        <tspan fill="var(--color-soft)" fontSize={12 * mmPerPx} dx={5 * mmPerPx} className="words">
          {behind}
        </tspan>
      )}
    </text>
  );
}, equal);
