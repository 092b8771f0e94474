import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { kinds } from '../../contract/records/kinds.ts';
import type { ClientRecord, RecordOf } from '../../contract/records/records.ts';
import { collarStyles } from '../../core/collar/styles.ts';
import { jacketCuts, lapelKinds } from '../../core/jacket/jackets.ts';
import { fabrics } from '../../core/tie/fabrics.ts';
import { tieStates } from '../../core/tie/making.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import { FoldedSquare } from '../../drawing/wardrobe/FoldedSquare.tsx';
import { HangingTie } from '../../drawing/wardrobe/HangingTie.tsx';
import { FindLine } from '../records/list/FindLine.tsx';
import { RecordList } from '../records/list/RecordList.tsx';
import { useListing } from '../records/list/useListing.ts';
import { Swatch } from '../ui/Swatch.tsx';
import { Switch } from '../ui/Switch.tsx';
import { createQueryClient, recordQuery } from '../wire/queries.ts';

/** Everything that hangs in the studio or belongs to its clients. */
export function WardrobePage() {
  const [queries] = useState(createQueryClient);
  return (
    <QueryClientProvider client={queries}>
      <Rack />
    </QueryClientProvider>
  );
}

const sorts = ['ties', 'squares', 'shirts', 'jackets'] as const;
type Sort = (typeof sorts)[number];
const sortLabels: Readonly<Record<Sort, string>> = { ties: 'ties', squares: 'squares', shirts: 'shirts', jackets: 'jackets' };
const whose = [
  { key: 'all', label: 'all' },
  { key: 'studio', label: 'the studio’s' },
] as const;

function Rack() {
  const [sort, setSort] = useState<Sort>('ties');
  const [owner, setOwner] = useState<'all' | 'studio'>('all');
  const { line, wanted: found, units } = useListing(sort);
  const { one } = kinds[sort];
  const wanted = { ...found, ...(owner === 'studio' ? { clientId: null } : {}) };
  const whenNone = (
    <>
      There is no {one} yet.{' '}
      <a className="text-set underline" href={`/${sort}/new`}>
        Add the first
      </a>
      , or{' '}
      <a className="text-set underline" href="/in-and-out">
        bring a list in
      </a>
      .
    </>
  );
  return (
    <>
      <FindLine {...line} placeholder="name, cloth or a word of the note">
        <a className="flex min-h-10 items-center gap-2 bg-set px-4 text-lg font-medium text-white hover:bg-ink" href={`/${sort}/new`}>
          <Plus aria-hidden className="size-5" /> Add a {one}
        </a>
      </FindLine>
      <div className="flex flex-wrap justify-between gap-x-6 border-b-2 border-ink pb-1">
        <Switch label="What" value={sort} choices={sorts.map((key) => ({ key, label: sortLabels[key] }))} onChange={setSort} />
        <Switch label="Whose" value={owner} choices={whose} onChange={setOwner} />
      </div>
      <RecordList key={sort} kind={sort} wanted={wanted} rowPx={rowPx[sort]} row={rows(units)[sort]} whenNone={whenNone} />
    </>
  );
}

const rowPx: Readonly<Record<Sort, number>> = { ties: 92, squares: 76, shirts: 64, jackets: 64 };

type Rows = { readonly [K in Sort]: (record: RecordOf[K]) => ReactNode };

/** How one of each sort is shown. */
function rows(units: LengthUnit): Record<Sort, (record: RecordOf[Sort]) => ReactNode> {
  const each: Rows = {
    ties: (tie) => <TieRow tie={tie} units={units} />,
    squares: (square) => <SquareRow square={square} />,
    shirts: (shirt) => {
      const { label } = collarStyles[shirt.collarStyle];
      const says = `${label}; points ${formatLength(shirt.collarPointMm, units)}, ${formatLength(shirt.collarSpreadMm, units)} apart`;
      return <PlainRow kind="shirts" record={shirt} colours={[shirt.colour]} says={says} />;
    },
    jackets: (jacket) => {
      const says = `${lapelKinds[jacket.lapelKind].label} lapel of ${formatLength(jacket.lapelMm, units)}, ${jacketCuts[jacket.cut].label}`;
      return <PlainRow kind="jackets" record={jacket} colours={[jacket.colour]} says={says} />;
    },
  };
  return each as Record<Sort, (record: RecordOf[Sort]) => ReactNode>;
}

const link = 'text-lg font-medium text-set underline decoration-1 underline-offset-4';

function TieRow({ tie, units }: { readonly tie: RecordOf['ties']; readonly units: LengthUnit }) {
  const away = tie.state !== 'rack';
  return (
    <div className="grid h-full grid-cols-[3rem_minmax(0,1fr)_10rem] items-center gap-x-4 hover:bg-white/60 sm:grid-cols-[3rem_minmax(0,1fr)_17rem_12rem]">
      <div className={`h-20 ${away ? 'opacity-45' : ''}`}>
        <HangingTie id={`list-${tie.id}`} tie={tie} cloth={tie} />
      </div>
      <div className="min-w-0">
        <p className="truncate">
          <a className={link} href={`/ties/${tie.id}`}>
            {tie.label}
          </a>
        </p>
        <p className="truncate text-note text-soft">
          {fabrics[tie.fabric].label}
          {tie.note && `; ${tie.note}`}
        </p>
      </div>
      <p className="figures text-lg text-set max-sm:hidden">
        {formatLength(tie.lengthMm, units)} · {formatLength(tie.bladeMm, units)} · {formatLength(tie.thicknessMm, units, 'fine')}
      </p>
      <p className="text-note">
        <Owner clientId={tie.clientId} />
        <span className={`block ${away ? 'text-outside' : 'text-follows'}`}>
          {tieStates[tie.state].label}
          {tie.outWith && (
            <>
              {' with '}
              <ClientName id={tie.outWith} />
            </>
          )}
        </span>
      </p>
    </div>
  );
}

function SquareRow({ square }: { readonly square: RecordOf['squares'] }) {
  return (
    <div className="grid h-full grid-cols-[5rem_minmax(0,1fr)_12rem] items-center gap-x-4 hover:bg-white/60">
      <FoldedSquare cloth={square} className="h-14" />
      <div className="min-w-0">
        <a className={link} href={`/squares/${square.id}`}>
          {square.label}
        </a>
        <p className="truncate text-note text-soft">{fabrics[square.fabric].label}</p>
      </div>
      <p className="text-note">
        <Owner clientId={square.clientId} />
      </p>
    </div>
  );
}

interface PlainRowProps {
  readonly kind: 'shirts' | 'jackets';
  readonly record: { readonly id: string; readonly label: string; readonly clientId: string | null };
  readonly colours: readonly string[];
  readonly says: string;
}

function PlainRow({ kind, record, colours, says }: PlainRowProps) {
  return (
    <div className="grid h-full grid-cols-[2.5rem_minmax(0,1fr)_12rem] items-center gap-x-4 hover:bg-white/60">
      <Swatch colours={colours} />
      <div className="min-w-0">
        <a className={link} href={`/${kind}/${record.id}`}>
          {record.label}
        </a>
        <p className="truncate text-note text-soft">{says}</p>
      </div>
      <p className="text-note">
        <Owner clientId={record.clientId} />
      </p>
    </div>
  );
}

function Owner({ clientId }: { readonly clientId: string | null }) {
  return clientId === null ? <span className="text-soft">the studio’s</span> : <ClientName id={clientId} />;
}

function ClientName({ id }: { readonly id: string }) {
  const { data } = useQuery(recordQuery('clients', id));
  const client: ClientRecord | undefined = data;
  return (
    <a className="text-set hover:underline" href={`/clients/${id}`}>
      {client?.name ?? '…'}
    </a>
  );
}
