import type { Collar } from '../../core/collar/collar.ts';
import { measures } from '../../core/measures/measures.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import { Handle } from '../sheet/Handle.tsx';
import { collarLeaves } from './leaves.ts';

interface SpreadHandleProps {
  readonly collar: Collar;
  readonly neckMm: number;
  readonly units: LengthUnit;
  readonly onChange: (mm: number) => void;
}

/** The collar’s spread, taken by the wearer's left point; never so far that two points could not reach. */
export function SpreadHandle({ collar, neckMm, units, onChange }: SpreadHandleProps) {
  const [, tip] = collarLeaves(collar, neckMm).tips;
  const { minMm, maxMm } = measures.shirt.collarSpreadMm;
  return (
    <Handle
      x={tip[0]}
      y={tip[1]}
      axis="x"
      gain={2}
      label="Collar spread"
      valueMm={collar.collarSpreadMm}
      valueText={formatLength(collar.collarSpreadMm, units)}
      minMm={Math.max(minMm, collar.tieSpaceMm + 4)}
      maxMm={Math.min(maxMm, 2 * collar.collarPointMm)}
      onChange={onChange}
    />
  );
}
