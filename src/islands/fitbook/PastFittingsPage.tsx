import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { sayDay } from '../../contract/days.ts';
import type { FittingSummary } from '../../contract/fitting.ts';
import type { Given } from '../../contract/given.ts';
import type { Frame } from '../../core/index.ts';
import { formatFigure, type LengthUnit, roughly, unitLabel } from '../../core/units/length.ts';
import { viewLabels } from '../../drawing/geometry/view.ts';
import { unitChoices, usePreferences, useUnits } from '../device/preferences.tsx';
import { Link } from '../ui/Button.tsx';
import { Loading } from '../ui/Loading.tsx';
import { Moves, ViewSwitch } from '../ui/Moves.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { Swatch } from '../ui/Swatch.tsx';
import { Switch } from '../ui/Switch.tsx';
import { fittingsQuery, studioQuery } from '../wire/queries.ts';
import { WithGiven } from '../wire/WithGiven.tsx';
import { matches } from './matches.ts';

/** What was fitted, newest first. */
export function PastFittingsPage({ given }: { readonly given: Given }) {
  return (
    <WithGiven given={given}>
      <Listing />
    </WithGiven>
  );
}

function Listing() {
  const fittings = useQuery(fittingsQuery);
  const studio = useQuery(studioQuery).data;
  const [sought, setSought] = useState('');
  const [units, setUnits] = useUnits(studio?.units ?? 'cm');
  const { preferences, prefer } = usePreferences();
  const { view } = preferences;
  if (fittings.isError) return <p className="py-6 text-xl">{fittings.error.message}</p>;
  if (!fittings.data) return fittings.failureCount > 0 ? <OutageNotice what="The list loads as soon as they are back." /> : <Loading />;
  if (fittings.data.length === 0) {
    return (
      <p className="py-6 text-xl">
        No fittings saved yet. <Link href="/">Start a fitting</Link> and save what works: the next fitting can start from it.
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
        <ViewSwitch frame={{ view, blade: 'right' }} onView={(next) => prefer({ view: next })} />
        <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
      </div>
      <div className="overflow-x-auto">
        <Table fittings={found} units={units} view={view} timeZone={studio?.timeZone ?? 'UTC'} />
      </div>
      {found.length === 0 && <p className="py-4 text-lg text-soft">No fitting found for “{sought}”.</p>}
    </>
  );
}

interface TableProps {
  readonly fittings: readonly FittingSummary[];
  readonly units: LengthUnit;
  readonly view: Frame['view'];
  readonly timeZone: string;
}

function Table({ fittings, units, view, timeZone }: TableProps) {
  const unit = unitLabel(units);
  return (
    <table className="w-full border-collapse text-left">
      <caption className="sr-only">Past fittings, newest first</caption>
      <thead className="border-b-2 border-ink text-note text-soft">
        <tr>
          <th className="py-2 font-normal">Day</th>
          <th className="font-normal">Client</th>
          <th className="font-normal">Tie, shirt, jacket</th>
          <th className="font-normal">Knot; moves {viewLabels[view].name}</th>
          <th className="text-right font-normal">Set at, {unit}</th>
          <th className="text-right font-normal">Planned blade tip, {unit}</th>
        </tr>
      </thead>
      <tbody>
        {fittings.map((fitting) => (
          <tr key={fitting.id} className="border-b border-line align-top hover:bg-white/60">
            <td className="py-2.5 pr-3 whitespace-nowrap">
              {sayDay(fitting.createdAt, timeZone)}
              {fitting.personName && <span className="block text-note text-soft">{fitting.personName}</span>}
            </td>
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
              <span className="text-lg">{fitting.title}</span>
              <Moves of={fitting.knot} frame={{ view, blade: fitting.blade }} className="block text-note text-soft" />
              {fitting.blade === 'left' && <span className="block text-note text-soft">blade on the wearer’s left</span>}
            </td>
            <td className="py-2 text-right">
              <span className="figures text-2xl text-follows">{formatFigure(roughly(fitting.set.dropMm, units), units)}</span>
              <span className="block text-note text-soft">{fitting.set.end} tip</span>
            </td>
            <td className="figures py-2 text-right text-2xl text-follows">{formatFigure(roughly(fitting.tipDropMm, units), units)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
