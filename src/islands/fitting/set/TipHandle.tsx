import type { LengthUnit } from '../../../core/units/length.ts';
import { Handle } from '../../../drawing/sheet/Handle.tsx';
import { againstBelt } from './startInWords.ts';

/** Further off than this a tip is seen on nobody, mm. */
export const seenRangeMm = { min: -350, max: 350 } as const;

interface TipHandleProps {
  readonly label: 'Blade tip' | 'Tail tip';
  /** Beside the middle, to the viewer's right. */
  readonly x: number;
  readonly beltMm: number;
  /** Where the tip is, against the belt top; lower is positive. */
  readonly offMm: number;
  readonly units: LengthUnit;
  readonly onChange: (offMm: number) => void;
}

/** A tip, dragged to where it is seen. */
export function TipHandle({ label, x, beltMm, offMm, units, onChange }: TipHandleProps) {
  return (
    <Handle
      x={x}
      y={beltMm + offMm}
      axis="y"
      label={label}
      valueMm={Math.round(offMm)}
      valueText={againstBelt(offMm, units)}
      minMm={seenRangeMm.min}
      maxMm={seenRangeMm.max}
      onChange={onChange}
    />
  );
}
