import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { answerKeys } from '../../contract/answerKeys.ts';
import { type FittingSummary, type FittingsBy, type FittingsOnly, type FittingsWanted, fittingsOnly } from '../../contract/fitting.ts';
import type { Given } from '../../contract/given.ts';
import { pageSize } from '../../contract/records/records.ts';
import { unitChoices, usePreferences, useUnits } from '../device/preferences.tsx';
import { useShortcuts } from '../device/shortcuts.ts';
import { Button, Link } from '../ui/Button.tsx';
import { Loading } from '../ui/Loading.tsx';
import { ViewSwitch } from '../ui/Moves.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { Switch } from '../ui/Switch.tsx';
import { fittingsPage, fittingsQuery, studioQuery } from '../wire/queries.ts';
import { WithGiven } from '../wire/WithGiven.tsx';
import { BookHead } from './BookHead.tsx';
import { FittingsTable } from './FittingsTable.tsx';

interface FitBookPageProps {
  readonly given: Given;
  readonly asked: FittingsWanted;
}

/** Every fitting, and what became of it. */
export function FitBookPage({ given, asked }: FitBookPageProps) {
  return (
    <WithGiven given={given}>
      <BookHead here="/fittings" />
      <Listing asked={asked} />
    </WithGiven>
  );
}

/** What comes after some rows, `pages` pages in. */
const follows = (rows: readonly FittingSummary[] | undefined, pages: number): Pick<FittingsWanted, 'from' | 'after'> => {
  const last = rows?.at(-1);
  return { from: pageSize * pages, ...(last && { after: last.id }) };
};

function Listing({ asked }: { readonly asked: FittingsWanted }) {
  const [text, setText] = useState(asked.find ?? '');
  const [only, setOnly] = useState<FittingsOnly>(asked.only ?? 'all');
  const [order, setOrder] = useState<{ readonly by: FittingsBy; readonly down: boolean } | undefined>(
    asked.by && { by: asked.by, down: asked.down ?? false },
  );
  const find = useDeferredValue(text);
  // As the address asked for it, while nothing was changed: that page was given along.
  const isAsked = find === (asked.find ?? '') && only === (asked.only ?? 'all') && order?.by === asked.by;
  const wanted: FittingsWanted = isAsked ? asked : { find, only, ...order };
  const first = useQuery({ ...fittingsQuery(wanted), placeholderData: keepPreviousData });
  const further = useInfiniteQuery({
    queryKey: [...answerKeys.fittings(wanted), 'further'],
    queryFn: ({ pageParam }) => fittingsPage({ ...wanted, ...pageParam }),
    initialPageParam: follows(first.data?.rows, 1),
    getNextPageParam: ({ rows: last }, pages) => (last.length < pageSize ? undefined : follows(last, pages.length + 1)),
    enabled: false,
  });
  const studio = useQuery(studioQuery).data;
  const [units, setUnits] = useUnits(studio?.units ?? 'cm');
  const { preferences, prefer } = usePreferences();
  useShortcuts({
    find: () => document.getElementById('find')?.focus(),
    units: () => setUnits(units === 'cm' ? 'in' : 'cm'),
  });
  if (first.isError) return <p className="py-6 text-xl">{first.error.message}</p>;
  if (!first.data) return first.failureCount > 0 ? <OutageNotice what="The list loads as soon as they are back." /> : <Loading />;
  const rows: readonly FittingSummary[] = [...first.data.rows, ...(further.data?.pages ?? []).flatMap((page) => page.rows)];
  const { total } = first.data;
  if (total === 0 && find === '' && only === 'all') {
    return (
      <p className="py-6 text-xl">
        No fittings saved yet. <Link href="/">Start a fitting</Link>, save it, and say in its last stage how it came out: the next start
        will know.
      </p>
    );
  }
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2 pb-3">
        <label className="flex items-baseline gap-3 text-lg">
          Find
          <input
            id="find"
            type="search"
            className="h-10 w-64 border-b-2 border-set/40 bg-transparent text-xl text-set placeholder:text-soft focus:border-set"
            placeholder="client, tie, knot or note"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <label className="flex items-baseline gap-2">
          Show
          <select
            className="h-10 border-b-2 border-set/40 bg-transparent text-set"
            value={only}
            onChange={(event) => setOnly(event.target.value as FittingsOnly)}
          >
            {Object.entries(fittingsOnly).map(([code, { label }]) => (
              <option key={code} value={code}>
                {label}
              </option>
            ))}
          </select>
        </label>
        <ViewSwitch frame={{ view: preferences.view, blade: 'right' }} onView={(view) => prefer({ view })} />
        <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
      </div>
      <p role="status" className="pb-1 text-note text-soft">
        {total === 0 && find.trim() !== '' ? (
          `No fitting found for “${find.trim()}”.`
        ) : (
          <>
            {total} {total === 1 ? 'fitting' : 'fittings'}
            {only === 'all' ? '' : ` ${fittingsOnly[only].label}`}
            {find.trim() === '' ? '' : ` with “${find.trim()}”`}
          </>
        )}
      </p>
      <div className="overflow-x-auto" aria-busy={first.isFetching}>
        <FittingsTable
          fittings={rows}
          units={units}
          view={preferences.view}
          timeZone={studio?.timeZone ?? 'UTC'}
          order={order ?? { by: 'day', down: true }}
          onOrder={setOrder}
        />
      </div>
      {rows.length < total && (
        <p className="py-3">
          <Button
            look="other"
            disabled={further.isFetching}
            onClick={() => void (further.data ? further.fetchNextPage() : further.refetch())}
          >
            {further.isFetching ? 'Loading…' : `Show ${Math.min(pageSize, total - rows.length)} more`}
          </Button>
        </p>
      )}
    </>
  );
}
