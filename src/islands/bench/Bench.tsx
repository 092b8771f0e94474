import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Fitting } from '../../contract/fitting.ts';
import type { Wardrobe } from '../../contract/records.ts';
import { OutageNotice } from '../records/OutageNotice.tsx';
import { createQueryClient, fittingQuery, wardrobeQuery } from '../records/queries.ts';
import { BenchTable } from './BenchTable.tsx';
import { keptBench } from './keptBench.ts';
import { benchOfFitting, freshBench } from './values.ts';

/** The bench: a new fitting, or with `fittingId` one that was saved. */
export default function Bench({ fittingId }: { readonly fittingId?: string }) {
  const [queries] = useState(createQueryClient);
  return <QueryClientProvider client={queries}>{fittingId ? <SavedBench id={fittingId} /> : <NewBench />}</QueryClientProvider>;
}

function NewBench() {
  const wardrobe = useQuery(wardrobeQuery);
  if (wardrobe.data)
    return <BenchTable initial={keptBench() ?? freshBench(wardrobe.data)} wardrobe={wardrobe.data} outage={wardrobe.isError} />;
  if (wardrobe.isError) return <Message>{wardrobe.error.message}</Message>;
  return <Waiting outage={wardrobe.failureCount > 0} what="Your clients will appear as soon as they can; this page keeps trying." />;
}

function SavedBench({ id }: { readonly id: string }) {
  const wardrobe = useQuery(wardrobeQuery);
  const fitting = useQuery(fittingQuery(id));
  if (fitting.data && wardrobe.data) return <Opened fitting={fitting.data} wardrobe={wardrobe.data} />;
  const refused = fitting.error ?? wardrobe.error;
  if (refused) return <Message>{refused.message}</Message>;
  return (
    <Waiting
      outage={fitting.failureCount > 0 || wardrobe.failureCount > 0}
      what="The fitting will open as soon as it can; this page keeps trying."
    />
  );
}

function Opened({ fitting, wardrobe }: { readonly fitting: Fitting; readonly wardrobe: Wardrobe }) {
  return <BenchTable initial={benchOfFitting(fitting)} wardrobe={wardrobe} outage={false} opened={fitting} />;
}

function Waiting({ outage, what }: { readonly outage: boolean; readonly what: string }) {
  return <div className="p-8">{outage ? <OutageNotice what={what} /> : <p className="text-xl text-soft">Laying out the bench …</p>}</div>;
}

function Message({ children }: { readonly children: string }) {
  return (
    <div className="p-8 text-xl">
      <p>{children}</p>
      <p className="pt-3">
        <a className="text-set underline" href="/fittings">
          All fittings
        </a>{' '}
        ·{' '}
        <a className="text-set underline" href="/">
          The bench
        </a>
      </p>
    </div>
  );
}
