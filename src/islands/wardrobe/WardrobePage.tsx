import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import type { ListWanted } from '../../contract/answerKeys.ts';
import type { Given } from '../../contract/given.ts';
import { kindWords } from '../../contract/records/kindWords.ts';
import type { RecordOf } from '../../contract/records/records.ts';
import { type WardrobeSort, wardrobeSorts } from '../../contract/records/wardrobeSorts.ts';
import { collarStyles } from '../../core/collar/styles.ts';
import { jacketCuts, lapelKinds } from '../../core/jacket/jackets.ts';
import { fabrics } from '../../core/tie/fabrics.ts';
import { tieStates } from '../../core/tie/making.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import { FoldedSquare } from '../../drawing/wardrobe/FoldedSquare.tsx';
import { HangingTie } from '../../drawing/wardrobe/HangingTie.tsx';
import { coloursOf } from '../records/coloursOf.ts';
import { FindLine } from '../records/list/FindLine.tsx';
import { RecordList } from '../records/list/RecordList.tsx';
import { useListing } from '../records/list/useListing.ts';
import { lookOf } from '../seen/dressed.ts';
import { Link } from '../ui/Button.tsx';
import { Swatch } from '../ui/Swatch.tsx';
import { Switch } from '../ui/Switch.tsx';
import { capital, withArticle } from '../ui/words.ts';
import { recordQuery } from '../wire/queries.ts';
import { WithGiven } from '../wire/WithGiven.tsx';

interface WardrobePageProps {
  readonly given: Given;
  readonly sort: WardrobeSort;
  readonly asked: ListWanted;
}

/** Everything the studio keeps to wear, and all that belongs to its clients. */
export function WardrobePage({ given, sort, asked }: WardrobePageProps) {
  return (
    <WithGiven given={given}>
      <Wardrobe first={sort} asked={asked} />
    </WithGiven>
  );
}

const sortChoices = wardrobeSorts.map((key) => ({ key, label: kindWords[key].many }));
const whose = [
  { key: 'all', label: 'all' },
  { key: 'studio', label: 'the studio’s' },
] as const;

function Wardrobe({ first, asked }: { readonly first: WardrobeSort; readonly asked: ListWanted }) {
  const [sort, setSort] = useState<WardrobeSort>(first);
  const [owner, setOwner] = useState<'all' | 'studio'>('all');
  const { line, wanted: found, units } = useListing(sort, asked);
  const { one, many } = kindWords[sort];
  const wanted = { ...found, ...(owner === 'studio' ? { clientId: null } : {}) };
  const whenNone = (
    <>
      No {many} yet. <Link href={`/${sort}/new`}>Add {withArticle(one)}</Link>, or <Link href="/import-export">import a list</Link>.
    </>
  );
  return (
    <>
      <FindLine {...line} placeholder="name, fabric, or a word of the note">
        <Link look="main" className="text-lg" href={`/${sort}/new`}>
          <Plus aria-hidden className="size-5" /> Add {withArticle(one)}
        </Link>
      </FindLine>
      <div className="flex flex-wrap justify-between gap-x-6 border-b-2 border-ink pb-1">
        <Switch label="What" value={sort} choices={sortChoices} onChange={setSort} />
        <Switch label="Whose" value={owner} choices={whose} onChange={setOwner} />
      </div>
      <noscript>
        <p className="flex gap-4">
          {wardrobeSorts.map((key) => (
            <a key={key} className="text-set underline" href={`?sort=${key}`}>
              {capital(kindWords[key].many)}
            </a>
          ))}
        </p>
      </noscript>
      <RecordList
        key={sort}
        kind={sort}
        wanted={wanted}
        from={asked.from ?? 0}
        rowPx={rowPx[sort]}
        row={rows(units)[sort]}
        whenNone={whenNone}
      />
    </>
  );
}

const rowPx: Readonly<Record<WardrobeSort, number>> = { ties: 92, squares: 76, shirts: 64, jackets: 64 };

type Rows = { readonly [K in WardrobeSort]: (record: RecordOf[K]) => ReactNode };

/** How one of each sort is shown. */
function rows(units: LengthUnit): Record<WardrobeSort, (record: RecordOf[WardrobeSort]) => ReactNode> {
  const each: Rows = {
    ties: (tie) => <TieRow tie={tie} units={units} />,
    squares: (square) => <SquareRow square={square} />,
    shirts: (shirt) => {
      const { label } = collarStyles[shirt.collarStyle];
      const says = `${label} collar; points ${formatLength(shirt.collarPointMm, units)}, spread ${formatLength(shirt.collarSpreadMm, units)}`;
      return <PlainRow kind="shirts" record={shirt} colours={coloursOf(shirt) ?? []} says={says} />;
    },
    jackets: (jacket) => {
      const says = `${lapelKinds[jacket.lapelKind].label} lapel, ${formatLength(jacket.lapelMm, units)}, ${jacketCuts[jacket.cut].label}`;
      return <PlainRow kind="jackets" record={jacket} colours={coloursOf(jacket) ?? []} says={says} />;
    },
  };
  return each as Record<WardrobeSort, (record: RecordOf[WardrobeSort]) => ReactNode>;
}

const link = 'text-lg font-medium text-set underline decoration-1 underline-offset-4';

function TieRow({ tie, units }: { readonly tie: RecordOf['ties']; readonly units: LengthUnit }) {
  const away = tie.state !== 'rack';
  return (
    <div className="grid h-full grid-cols-[3rem_minmax(0,1fr)_10rem] items-center gap-x-4 hover:bg-white/60 sm:grid-cols-[3rem_minmax(0,1fr)_17rem_12rem]">
      <div className={`h-20 ${away ? 'opacity-45' : ''}`}>
        <HangingTie id={`list-${tie.id}`} tie={tie} cloth={lookOf(tie, tie.colours)} />
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
        {formatLength(tie.lengthMm, units)} · {formatLength(tie.bladeMm, units)} · {formatLength(tie.thicknessMm, units, 'thickness')}
      </p>
      <p className="text-note">
        <Owner clientId={tie.clientId} />
        <span className={`block ${away ? 'text-outside' : 'text-follows'}`}>
          {tieStates[tie.state].label}
          {tie.outWith && (
            <>
              {' to '}
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
  return (
    <a className="text-set hover:underline" href={`/clients/${id}`}>
      {data?.name ?? 'Loading…'}
    </a>
  );
}
