import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useEffect, useState } from 'react';
import type { ClientRecord } from '../../contract/records/records.ts';
import { knownOfClient } from '../../core/fitbook/says.ts';
import { formatLength, type LengthUnit, roughly } from '../../core/units/length.ts';
import { Link } from '../ui/Button.tsx';
import { fittingsQuery, wardrobeQuery } from '../wire/queries.ts';
import { FittingsOf } from './FittingsOf.tsx';
import { keptDraft } from './form/drafts.ts';
import { entriesOf } from './form/entries.ts';
import { KnotsTied } from './KnotsTied.tsx';
import { MeasuresOverTime } from './MeasuresOverTime.tsx';

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
  // What was entered and not saved is not left behind a lid.
  useEffect(() => {
    if (keptDraft('clients', client.id, entriesOf(client))) setEdited(true);
  }, [client]);
  // The form lies open where there is nothing else yet; what is not known yet must not open a lid to shut it again.
  const isNew = fittings?.rows.length === 0;
  const isOpen = edited ?? isNew;
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
            {Math.abs(known.mean) < 3
              ? 'where the measures say'
              : `${formatLength(roughly(Math.abs(known.mean), own), own)} ${known.mean > 0 ? 'lower' : 'higher'} than the measures say`}
          </b>{' '}
          (±{formatLength(known.sd, own)}, {known.tyings} {known.tyings === 1 ? 'tying' : 'tyings'}).
        </p>
      )}
      <FittingsOf wanted={{ client: client.id }} find={client.name} units={own} timeZone={timeZone} />
      <div className="grid gap-x-10 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <MeasuresOverTime client={client} units={own} />
        <KnotsTied clientId={client.id} />
      </div>
      <details
        open={isOpen}
        onToggle={(event) => {
          const { open } = event.currentTarget;
          if (open !== isOpen) setEdited(open);
        }}
      >
        <summary className="flex min-h-10 cursor-pointer items-center text-xl text-set">Edit</summary>
        {children}
      </details>
    </>
  );
}
