import { QueryClientProvider } from '@tanstack/react-query';
import { UserPlus } from 'lucide-react';
import { useState } from 'react';
import { latest } from '../../contract/records/asWorn.ts';
import type { ClientRecord } from '../../contract/records/records.ts';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import { formatFigure, type LengthUnit, unitLabel } from '../../core/units/length.ts';
import { clearBench } from '../atHand/kept.ts';
import { FindLine } from '../records/list/FindLine.tsx';
import { RecordList } from '../records/list/RecordList.tsx';
import { useListing } from '../records/list/useListing.ts';
import { formatDay } from '../ui/formatDay.ts';
import { createQueryClient } from '../wire/queries.ts';

/** Whoever comes in at the door, found by a half-remembered name. */
export function ClientsPage() {
  const [queries] = useState(createQueryClient);
  return (
    <QueryClientProvider client={queries}>
      <Found />
    </QueryClientProvider>
  );
}

const rowPx = 76;
const columns = 'grid grid-cols-[minmax(0,1fr)_7rem_7rem] items-center gap-x-4 sm:grid-cols-[minmax(0,1fr)_7rem_7rem_9rem_6rem]';

function Found() {
  const { line, wanted, units } = useListing('clients');
  const unit = unitLabel(units);
  return (
    <>
      <FindLine {...line} placeholder="name, what he is called, or a word of his note">
        <a className="flex min-h-10 items-center gap-2 bg-set px-4 text-lg font-medium text-white hover:bg-ink" href="/clients/new">
          <UserPlus aria-hidden className="size-5" /> Add a client
        </a>
      </FindLine>
      <div className={`${columns} border-b-2 border-ink text-note text-soft`} aria-hidden>
        <span>client</span>
        <span className="text-right">front drop, {unit}</span>
        <span className="text-right">collar, {unit}</span>
        <span className="max-sm:hidden">last measured</span>
        <span className="max-sm:hidden" />
      </div>
      <RecordList
        kind="clients"
        wanted={wanted}
        rowPx={rowPx}
        row={(client) => <Row client={client} units={units} />}
        whenNone={
          <>
            Nobody is kept yet.{' '}
            <a className="text-set underline" href="/clients/new">
              Add the first client
            </a>
            , or{' '}
            <a className="text-set underline" href="/in-and-out">
              bring a list in
            </a>
            .
          </>
        }
      />
    </>
  );
}

function Row({ client, units }: { readonly client: ClientRecord; readonly units: LengthUnit }) {
  const height = latest(client.measures, 'heightMm');
  const neck = latest(client.measures, 'neckMm');
  const taken = latest(client.measures, 'frontDropMm');
  const drop =
    taken || height
      ? frontDropOf({
          heightMm: height?.mm ?? 0,
          frontDropMm: taken?.mm ?? null,
          frontDropHow: taken?.how ?? 'tape',
          front: client.front,
        })
      : undefined;
  const [last] = client.measures;
  return (
    <div className={`${columns} h-full hover:bg-white/60`}>
      <div className="min-w-0">
        <p className="truncate">
          <a className="text-xl font-medium text-set underline decoration-1 underline-offset-4" href={`/clients/${client.id}`}>
            {client.name}
          </a>
          {client.nickname && <span className="pl-2 text-soft">“{client.nickname}”</span>}
        </p>
        <p className="truncate text-note text-soft">{client.note}</p>
      </div>
      <p className={`figures text-right text-2xl ${drop?.measured ? 'text-set' : 'text-follows'}`}>
        {drop ? `${drop.measured ? '' : '≈ '}${formatFigure(drop.meanMm, units)}` : '—'}
        {drop && !drop.measured && <span className="block text-note font-normal">± {formatFigure(drop.sdMm, units)}</span>}
      </p>
      <p className="figures text-right text-2xl text-set">{neck ? formatFigure(neck.mm, units) : '—'}</p>
      <p className="text-note text-soft max-sm:hidden">{last ? formatDay(last.takenOn) : 'never'}</p>
      <a
        className="flex min-h-10 items-center justify-center border-2 border-set px-3 text-set hover:bg-set hover:text-white max-sm:hidden"
        href={`/?client=${client.id}`}
        onClick={clearBench}
        aria-label={`Dress ${client.name}`}
      >
        Dress
      </a>
    </div>
  );
}
