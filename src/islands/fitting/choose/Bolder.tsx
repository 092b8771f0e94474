import { useId, useMemo } from 'react';
import type { KnotPlan } from '../../../core/index.ts';
import { formatLength, type LengthUnit, roughly } from '../../../core/units/length.ts';
import { familiesOf } from './families.ts';

interface BolderProps {
  readonly knots: readonly KnotPlan[];
  readonly chosen: KnotPlan;
  readonly units: LengthUnit;
  readonly onChoose: (moves: string) => void;
}

/** One handle from the quietest knot this outfit bears to the boldest, with what each costs of the tie. */
export function Bolder({ knots, chosen, units, onChoose }: BolderProps) {
  const id = useId();
  const bySize = useMemo(
    () =>
      familiesOf(knots)
        .map(({ first }) => first)
        .filter(({ feasible, reasons }) => feasible && reasons.every(({ code, verdict }) => code !== 'collar-fill' || verdict !== 'poor'))
        .toSorted((a, b) => a.shape.topMm - b.shape.topMm),
    [knots],
  );
  const [quietest] = bySize;
  if (!quietest || bySize.length < 2) return null;
  const at = bySize.reduce(
    (best, { shape }, i) =>
      Math.abs(shape.topMm - chosen.shape.topMm) < Math.abs((bySize[best]?.shape.topMm ?? 0) - chosen.shape.topMm) ? i : best,
    0,
  );
  const price = roughly(chosen.takeUpMm - quietest.takeUpMm, units);
  const told = `${formatLength(chosen.shape.topMm, units)} across${price > 0 ? `, takes up ${formatLength(price, units)} more than the quietest` : ''}`;
  return (
    <div className="flex items-center gap-3 py-0.5">
      <label htmlFor={id} className="text-note text-soft">
        Quieter
      </label>
      <input
        id={id}
        type="range"
        className="h-8 min-w-24 grow accent-set"
        aria-label="From the quietest knot to the boldest"
        aria-valuetext={`${chosen.title}: ${told}`}
        min={0}
        max={bySize.length - 1}
        step={1}
        value={at}
        onChange={(event) => {
          const knot = bySize[Number(event.target.value)];
          if (knot) onChoose(knot.moves);
        }}
      />
      <span className="text-note text-soft">Bolder</span>
      <span className="w-56 text-note leading-tight text-soft">{told}</span>
    </div>
  );
}
