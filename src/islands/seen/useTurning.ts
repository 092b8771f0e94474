import { type KeyboardEvent, type PointerEvent, useRef } from 'react';

const degreesAKey = 10;
const degreesAPixel = 0.6;

/** Makes a picture turn by dragging and by the arrow keys, and tells from which side it is seen. */
export function useTurning(title: string, turn: number, onTurn: (degrees: number) => void) {
  const dragged = useRef<number>(undefined);
  const by = (degrees: number) => onTurn(((((turn + degrees + 180) % 360) + 360) % 360) - 180);
  return {
    role: 'slider',
    tabIndex: 0,
    'aria-label': `${title} tied in cloth; turn it by the arrow keys`,
    'aria-valuemin': -180,
    'aria-valuemax': 180,
    'aria-valuenow': Math.round(turn),
    'aria-valuetext': sideSeen(turn),
    onKeyDown: (event: KeyboardEvent) => {
      const step = { ArrowLeft: -degreesAKey, ArrowRight: degreesAKey }[event.key];
      if (step === undefined && event.key !== 'Home') return;
      event.preventDefault();
      if (step === undefined) onTurn(0);
      else by(step);
    },
    onPointerDown: (event: PointerEvent) => {
      dragged.current = event.clientX;
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: PointerEvent) => {
      if (dragged.current === undefined) return;
      by((event.clientX - dragged.current) * degreesAPixel);
      dragged.current = event.clientX;
    },
    onPointerUp: () => {
      dragged.current = undefined;
    },
  } as const;
}

function sideSeen(turn: number): string {
  const side = Math.abs(turn);
  if (side < 25) return 'from the front';
  if (side > 155) return 'from behind';
  return `from the wearer’s ${turn > 0 ? 'right' : 'left'}${side < 65 ? ', half turned' : ''}`;
}
