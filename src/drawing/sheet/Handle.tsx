import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { inkColour } from './ink.ts';
import { useMmPerPx } from './Sheet.tsx';

interface HandleProps {
  readonly x: number;
  readonly y: number;
  readonly axis: 'x' | 'y';
  readonly label: string;
  readonly valueMm: number;
  readonly valueText: string;
  readonly minMm: number;
  readonly maxMm: number;
  /** Change of the measure for a millimetre of drag along the axis; −1 when it grows backwards, 2 for a spread. */
  readonly gain?: number;
  readonly onChange: (mm: number) => void;
}

const stepMm = 1;
const longStepMm = 10;
const reachPx = 22;

/** A measure that can be taken by the hand on the drawing: dragged, or moved by the arrow keys. */
export function Handle({ x, y, axis, label, valueMm, valueText, minMm, maxMm, gain = 1, onChange }: HandleProps) {
  const mmPerPx = useMmPerPx();
  const grip = useRef<{ readonly at: number; readonly valueMm: number } | undefined>(undefined);
  const set = (mm: number) => onChange(Math.min(maxMm, Math.max(minMm, Math.round(mm))));
  const along = (event: PointerEvent) => (axis === 'x' ? event.clientX : event.clientY);

  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.shiftKey ? longStepMm : stepMm;
    const moves: Readonly<Record<string, number>> = {
      ArrowUp: axis === 'y' ? valueMm - step * Math.sign(gain) : valueMm + step,
      ArrowDown: axis === 'y' ? valueMm + step * Math.sign(gain) : valueMm - step,
      ArrowRight: valueMm + step,
      ArrowLeft: valueMm - step,
      PageUp: valueMm + longStepMm,
      PageDown: valueMm - longStepMm,
      Home: minMm,
      End: maxMm,
    };
    const next = moves[event.key];
    if (next === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    set(next);
  };

  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={valueMm}
      aria-valuemin={minMm}
      aria-valuemax={maxMm}
      aria-valuetext={valueText}
      aria-orientation={axis === 'x' ? 'horizontal' : 'vertical'}
      className={`handle ${axis === 'x' ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        grip.current = { at: along(event), valueMm };
      }}
      onPointerMove={(event) => {
        if (grip.current) set(grip.current.valueMm + (along(event) - grip.current.at) * mmPerPx * gain);
      }}
      onPointerUp={() => {
        grip.current = undefined;
      }}
      onPointerCancel={() => {
        grip.current = undefined;
      }}
    >
      <g transform={`translate(${x} ${y})`}>
        <circle r={reachPx * mmPerPx} fill="transparent" />
        <circle className="handle-ring" r={11 * mmPerPx} fill="none" stroke={inkColour.set} strokeWidth={2 * mmPerPx} />
        <circle r={6 * mmPerPx} fill={inkColour.set} stroke="var(--color-ground)" strokeWidth={1.5 * mmPerPx} />
      </g>
    </g>
  );
}
