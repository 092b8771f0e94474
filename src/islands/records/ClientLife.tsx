import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { sayDay } from '../../contract/days.ts';
import type { FittingSummary } from '../../contract/fitting.ts';
import type { ClientRecord } from '../../contract/records/records.ts';
import { knownOfClient } from '../../core/fitbook/says.ts';
import { formatLength, type LengthUnit, roughly } from '../../core/units/length.ts';
import { Link } from '../ui/Button.tsx';
import { Swatch } from '../ui/Swatch.tsx';
import { fittingsQuery, wardrobeQuery } from '../wire/queries.ts';
import { cameOut } from './cameOut.ts';

interface ClientLifeProps {
  readonly client: ClientRecord;
  readonly units: LengthUnit;
  readonly timeZone: string;
  /** The form, behind “Edit” once there is more to see of them. */
  readonly children: ReactNode;
}

/** A client as they were dressed: what was worn, how it came out, what it taught; and the form behind it. */
export function ClientLife({ client, units, timeZone, children }: ClientLifeProps) {
  const fittings = useQuery(fittingsQuery({ client: client.id })).data;
  const learnt = useQuery(wardrobeQuery(client.id)).data?.learnt;
  const [edited, setEdited] = useState<boolean>();
  const rows = fittings?.rows ?? [];
  const known = learnt && knownOfClient(learnt);
  const own = client.units ?? units;
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 pb-2">
        <h1 className="text-3xl font-semibold tracking-tight">{client.name}</h1>
        <Link look="main" href={`/?client=${client.id}`}>
          New fitting
        </Link>
      </div>
      {known && (
        <p className="pb-2 text-lg">
          Tips of {client.name} end{' '}
          <b className="font-medium text-follows">
            {Math.abs(known.meanMm) < 3
              ? 'where the measures say'
              : `${formatLength(roughly(Math.abs(known.meanMm), own), own)} ${known.meanMm > 0 ? 'lower' : 'higher'} than the measures say`}
          </b>{' '}
          (±{formatLength(known.sdMm, own)}, {known.tyings} {known.tyings === 1 ? 'tying' : 'tyings'}).
        </p>
      )}
      {rows.length > 0 && (
        <section aria-label="Fittings" className="pb-4">
          <h2 className="border-b-2 border-ink text-xl font-medium">Fittings</h2>
          <ul>
            {rows.slice(0, 12).map((fitting) => (
              <li key={fitting.id} className="flex flex-wrap items-center gap-x-4 border-b border-faint py-1">
                <Link href={`/fittings/${fitting.id}`}>{sayDay(fitting.createdAt, timeZone)}</Link>
                <span className="flex items-center gap-2">
                  <Swatch colours={fitting.cloth.tie} />
                  {fitting.tieLabel}
                </span>
                <span>{fitting.title}</span>
                <CameOut fitting={fitting} units={own} />
              </li>
            ))}
          </ul>
          {(fittings?.total ?? 0) > 12 && (
            <p className="pt-1">
              <Link href={`/fittings?find=${encodeURIComponent(client.name)}`}>All {fittings?.total} in the fit book</Link>
            </p>
          )}
        </section>
      )}
      <details
        open={edited ?? rows.length === 0}
        onToggle={(event) => {
          const { open } = event.currentTarget;
          if (open !== (edited ?? rows.length === 0)) setEdited(open);
        }}
      >
        <summary className="flex min-h-10 cursor-pointer items-center text-xl text-set">Edit</summary>
        {children}
      </details>
    </>
  );
}

function CameOut({ fitting, units }: { readonly fitting: FittingSummary; readonly units: LengthUnit }) {
  const { result } = fitting;
  if (!result) return <Link href={`/fittings/${fitting.id}?stage=check`}>Not checked yet</Link>;
  const { tip, rest } = cameOut(result, units);
  return <span className="text-soft">{[tip, rest].filter(Boolean).join('; ')}</span>;
}
