import { frontDropOf } from '../../core/body/frontDrop.ts';
import type { PlanRequest } from '../../core/index.ts';
import { measures } from '../../core/measures/measures.ts';
import { formatLength } from '../../core/units/length.ts';
import { Handle } from '../sheet/Handle.tsx';
import { lapelMeasure } from './fronts.ts';

interface LapelHandleProps {
  readonly jacket: NonNullable<PlanRequest['jacket']>;
  readonly request: PlanRequest;
  readonly onChange: (mm: number) => void;
}

/** The lapel at its broadest, to be taken by the hand on whatever picture shows the jacket's fronts. */
export function LapelHandle({ jacket, request: { client, units }, onChange }: LapelHandleProps) {
  const { minMm, maxMm } = measures.jacket.lapelMm;
  const [, to] = lapelMeasure(jacket, client.neckMm, frontDropOf(client).meanMm);
  return (
    <Handle
      x={-to[0]}
      y={to[1]}
      axis="x"
      gain={-1}
      label="Lapel width"
      valueMm={jacket.lapelMm}
      valueText={formatLength(jacket.lapelMm, units)}
      minMm={minMm}
      maxMm={maxMm}
      onChange={onChange}
    />
  );
}
