import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { FittingSummary } from '../../contract/fitting.ts';
import { formatFigure, type LengthUnit, unitLabel } from '../../core/units/length.ts';
import { unitChoices, useUnits } from '../device/useUnits.ts';
import { formatDay } from '../ui/formatDay.ts';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { Swatch } from '../ui/Swatch.tsx';
import { Switch } from '../ui/Switch.tsx';
import { createQueryClient, fittingsQuery } from '../wire/queries.ts';

/** What was fitted, newest first. */
export function PastFittingsPage() {
  const [queries] = useState(createQueryClient);
  return (
    <QueryClientProvider client={queries}>
      <Listing />
    </QueryClientProvider>
  );
}

function Listing() {
  const fittings = useQuery(fittingsQuery);
  const [sought, setSought] = useState('');
  const [units, setUnits] = useUnits('cm');
  if (fittings.isError) return <p className="py-6 text-xl">{fittings.error.message}</p>;
  if (!fittings.data) {
    return fittings.failureCount > 0 ? (
      <OutageNotice what="The fittings will appear as soon as they can; this page keeps trying." />
    ) : (
      <p className="py-6 text-xl text-soft">Fetching the fittings …</p>
    );
  }
  if (fittings.data.length === 0) {
    return (
      <p className="py-6 text-xl">
        Nothing has been fitted yet.{' '}
        <a className="text-set underline" href="/">
          Start at the bench
        </a>
        , and save what works: the next fitting starts from it.
      </p>
    );
  }
  const found = fittings.data.filter((fitting) => matches(fitting, sought));
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-4 pb-3">
        <label className="flex grow items-baseline gap-3 text-lg">
          Find
          <input
            type="search"
            className="h-10 w-full max-w-sm border-b-2 border-set/40 bg-transparent text-xl text-set placeholder:text-soft focus:border-set"
            placeholder="client, tie, knot or note"
            value={sought}
            onChange={(event) => setSought(event.target.value)}
          />
        </label>
        <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
      </div>
      <div className="overflow-x-auto">
        <Table fittings={found} units={units} />
      </div>
      {found.length === 0 && <p className="py-4 text-lg text-soft">No fitting speaks of “{sought}”.</p>}
    </>
  );
}

function matches(fitting: FittingSummary, sought: string): boolean {
  const text = [
    fitting.clientName,
    fitting.tieLabel,
    fitting.shirtLabel,
    fitting.jacketLabel ?? '',
    ...fitting.names,
    fitting.knot,
    fitting.note,
  ]
    .join(' ')
    .toLowerCase();
  return sought
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

function Table({ fittings, units }: { readonly fittings: readonly FittingSummary[]; readonly units: LengthUnit }) {
  const unit = unitLabel(units);
  return (
    <table className="w-full border-collapse text-left">
      <caption className="sr-only">Saved fittings, newest first</caption>
      <thead className="border-b-2 border-ink text-note text-soft">
        <tr>
          <th className="py-2 font-normal">Day</th>
          <th className="font-normal">Client</th>
          <th className="font-normal">Tie, shirt, jacket</th>
          <th className="font-normal">Knot</th>
          <th className="text-right font-normal">Narrow tip at, {unit}</th>
          <th className="text-right font-normal">Tip ends at, {unit}</th>
        </tr>
      </thead>
      <tbody>
        {fittings.map((fitting) => (
          <tr key={fitting.id} className="border-b border-line align-top hover:bg-white/60">
            <td className="py-2.5 pr-3 whitespace-nowrap">{formatDay(fitting.createdAt)}</td>
            <td className="pr-3">
              <a
                className="inline-block py-2.5 text-lg font-medium text-set underline decoration-1 underline-offset-4"
                href={`/fittings/${fitting.id}`}
              >
                {fitting.clientName}
              </a>
              {fitting.note && <p className="max-w-72 pb-2 text-note text-soft">{fitting.note}</p>}
            </td>
            <td className="py-2.5 pr-3">
              <span className="flex items-center gap-2">
                <Swatch colours={fitting.cloth.tie} />
                {fitting.tieLabel}
              </span>
              <span className="text-note text-soft">{[fitting.shirtLabel, fitting.jacketLabel].filter(Boolean).join('; ')}</span>
            </td>
            <td className="py-2.5 pr-3">
              <span className="text-lg">{fitting.names[0] ?? 'unnamed'}</span>
              <span className="figures block text-note text-soft">{fitting.knot}</span>
            </td>
            <td className="figures py-2 text-right text-2xl text-follows">{formatFigure(fitting.tailDropMm, units)}</td>
            <td className="figures py-2 text-right text-2xl text-follows">{formatFigure(fitting.tipDropMm, units)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
