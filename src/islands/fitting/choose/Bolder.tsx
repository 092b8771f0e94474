import { memo, useId, useMemo } from 'react';
import type { KnotPlan } from '../../../core/index.ts';
import { formatLength, type LengthUnit, roughly } from '../../../core/units/length.ts';
import { useLatest } from '../../ui/useLatest.ts';
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
  const pick = useLatest((to: number) => {
    const knot = bySize[to];
    if (knot) onChoose(knot.moves);
  });
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
      <Scale id={id} told={`${chosen.title}: ${told}`} last={bySize.length - 1} at={at} onPick={pick} />
      <span className="text-note text-soft">Bolder</span>
      <span className="w-56 text-note leading-tight text-soft">{told}</span>
    </div>
  );
}

interface ScaleProps {
  readonly id: string;
  readonly told: string;
  readonly last: number;
  readonly at: number;
  readonly onPick: (at: number) => void;
}

/** Drawn anew only where it stands elsewhere: a slider is set up again whenever it is. */
const Scale = memo(function Scale({ id, told, last, at, onPick }: ScaleProps) {
  return (
    <input
      id={id}
      type="range"
      className="h-8 min-w-24 grow accent-set"
      aria-label="From the quietest knot to the boldest"
      aria-valuetext={told}
      min={0}
      max={last}
      step={1}
      value={at}
      onChange={({ target }) => onPick(Number(target.value))}
    />
  );
});
