import { useQuery } from '@tanstack/react-query';
import { sayDay } from '../../contract/days.ts';
import type { FittingSummary } from '../../contract/fitting.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { Link } from '../ui/Button.tsx';
import { Swatch } from '../ui/Swatch.tsx';
import { fittingsQuery } from '../wire/queries.ts';
import { cameOut } from './cameOut.ts';

interface FittingsOfProps {
  /** Whose fittings, or in which tie. */
  readonly wanted: { readonly client: string } | { readonly tie: string };
  /** By what the fit book finds all of them. */
  readonly find: string;
  readonly units: LengthUnit;
  readonly timeZone: string;
}

/** As many as are read at a glance. */
const mostShown = 12;

/** The latest fittings of a client, or in a tie, and how each came out. */
export function FittingsOf({ wanted, find, units, timeZone }: FittingsOfProps) {
  const { data } = useQuery(fittingsQuery(wanted));
  if (!data || data.rows.length === 0) return null;
  return (
    <section aria-label="Fittings" className="pb-4">
      <h2 className="border-b-2 border-ink text-xl font-medium">Fittings</h2>
      <ul>
        {data.rows.slice(0, mostShown).map((fitting) => (
          <li
            key={fitting.id}
            className="grid items-center gap-x-4 border-b border-faint py-1 sm:grid-cols-[10.5rem_minmax(0,15rem)_minmax(0,13rem)_minmax(0,1fr)]"
          >
            <Link href={`/fittings/${fitting.id}`}>{sayDay(fitting.createdAt, timeZone)}</Link>
            {'tie' in wanted ? (
              <span>{fitting.clientName}</span>
            ) : (
              <span className="flex items-center gap-2">
                <Swatch colours={fitting.cloth.tie} />
                {fitting.tieLabel}
              </span>
            )}
            <span>{fitting.title}</span>
            <CameOut fitting={fitting} units={units} />
          </li>
        ))}
      </ul>
      {data.total > mostShown && (
        <p className="pt-1">
          <Link href={`/fittings?find=${encodeURIComponent(find)}`}>All {data.total} in the fit book</Link>
        </p>
      )}
    </section>
  );
}

function CameOut({ fitting, units }: { readonly fitting: FittingSummary; readonly units: LengthUnit }) {
  const { result } = fitting;
  if (!result) return <Link href={`/fittings/${fitting.id}?stage=check`}>Not checked yet</Link>;
  const { tip, rest } = cameOut(result, units);
  return <span className="text-soft">{[tip, rest].filter(Boolean).join('; ')}</span>;
}
