import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Fitting } from '../../contract/fitting.ts';
import type { Wardrobe } from '../../contract/records/records.ts';
import { clearBench, keptBench } from '../atHand/kept.ts';
import { atHandOfFitting, freshAtHand } from '../atHand/values.ts';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { createQueryClient, fittingQuery, wardrobeQuery } from '../wire/queries.ts';
import { FittingTable } from './FittingTable.tsx';

/** The bench: a new fitting, or with `fittingId` one that was saved. */
export function FittingPage({ fittingId }: { readonly fittingId?: string }) {
  const [queries] = useState(createQueryClient);
  return <QueryClientProvider client={queries}>{fittingId ? <SavedBench id={fittingId} /> : <NewBench />}</QueryClientProvider>;
}

function NewBench() {
  // A client that was asked for by address stands before whoever was on the bench.
  const [asked] = useState(() => new URLSearchParams(location.search).get('client'));
  const [kept] = useState(() => (asked ? undefined : keptBench()));
  const wardrobe = useQuery(wardrobeQuery(asked ?? kept?.client.id));
  if (wardrobe.data)
    return <FittingTable initial={kept ?? freshAtHand(wardrobe.data)} wardrobe={wardrobe.data} outage={wardrobe.isError} />;
  if (wardrobe.isError) return <Lost message={wardrobe.error.message} />;
  return <Waiting outage={wardrobe.failureCount > 0} what="Your clients will appear as soon as they can; this page keeps trying." />;
}

function SavedBench({ id }: { readonly id: string }) {
  const fitting = useQuery(fittingQuery(id));
  const wardrobe = useQuery({ ...wardrobeQuery(fitting.data?.clientId), enabled: fitting.data !== undefined });
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
  return <FittingTable initial={atHandOfFitting(fitting)} wardrobe={wardrobe} outage={false} opened={fitting} />;
}

/** What stood on the bench speaks of records that are no longer there. */
function Lost({ message }: { readonly message: string }) {
  return (
    <div className="p-8 text-xl">
      <p>{message}</p>
      <button
        type="button"
        className="mt-3 cursor-pointer text-set underline"
        onClick={() => {
          clearBench();
          location.reload();
        }}
      >
        Clear the bench and begin anew
      </button>
    </div>
  );
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
