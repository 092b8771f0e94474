import { sayDay } from '../../contract/days.ts';
import type { Fitting } from '../../contract/fitting.ts';
import type { KnotPlan } from '../../core/index.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import { DeleteAsked } from '../ui/DeleteAsked.tsx';
import { deleteFitting } from '../wire/queries.ts';

interface AsSavedProps {
  readonly fitting: Fitting;
  readonly untouched: boolean;
  /** What the same inputs would answer today. */
  readonly today: KnotPlan | undefined;
  readonly units: LengthUnit;
  readonly timeZone: string;
}

const worthTellingMm = 1;

/** Says that this is an old fitting, and whether the same measures would start elsewhere today. */
export function AsSaved({ fitting, untouched, today, units, timeZone }: AsSavedProps) {
  const { answer, createdAt, personName, note } = fitting;
  const day = sayDay(createdAt, timeZone);
  const differs =
    today?.start.set.end === answer.start.set.end && Math.abs(today.start.set.dropMm - answer.start.set.dropMm) > worthTellingMm;
  return (
    <div className="mt-1.5 flex flex-wrap items-center bg-follows-wash px-5 py-1.5 text-follows">
      <p role="status">
        {untouched
          ? `Fitting of ${day}${personName ? `, dressed by ${personName}` : ''}, as it was saved.${differs ? ` Today the same measures would start at ${formatLength(today.start.set.dropMm, units)}.` : ''}`
          : `A new fitting, started from the one of ${day}, which stays as it was.`}
        {note && <span className="pl-3 text-ink">“{note}”</span>}
      </p>
      {untouched && (
        <span className="pl-3">
          <DeleteAsked
            warning="It goes from the fit book, with how it came out."
            remove={() => deleteFitting(fitting.id)}
            onGone={() => location.assign('/fittings')}
          />
        </span>
      )}
    </div>
  );
}
