import type { Fitting } from '../../contract/fitting.ts';
import type { KnotPlan } from '../../core/index.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import { formatDay } from '../ui/formatDay.ts';

interface AsSavedProps {
  readonly fitting: Fitting;
  readonly untouched: boolean;
  /** What the same inputs would answer today. */
  readonly today: KnotPlan | undefined;
  readonly units: LengthUnit;
}

const worthTellingMm = 1;

/** Says that this is an old fitting, and whether today's reckoning would differ. */
export function AsSaved({ fitting, untouched, today, units }: AsSavedProps) {
  const day = formatDay(fitting.createdAt);
  const differs = today && Math.abs(today.start.tailDropMm - fitting.answer.start.tailDropMm) > worthTellingMm;
  return (
    <p className="mt-1.5 bg-follows-wash px-5 py-1.5 text-follows" role="status">
      {untouched
        ? `Fitting of ${day}, with the measures and the answer as they were.${differs ? ` Today’s reckoning would start at ${formatLength(today.start.tailDropMm, units)}.` : ''}`
        : `A new fitting, begun from the one of ${day}. The old one stays as it was.`}
      {fitting.note && <span className="pl-3 text-ink">“{fitting.note}”</span>}
    </p>
  );
}
