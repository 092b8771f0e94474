import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import type { ListWanted } from '../../contract/answerKeys.ts';
import { dayIn, isDay, sayDay, sayDayShortly } from '../../contract/days.ts';
import type { Given } from '../../contract/given.ts';
import { kindWords } from '../../contract/records/kindWords.ts';
import type { Listed, TieAtHand } from '../../contract/records/records.ts';
import { type WardrobeSort, wardrobeSorts } from '../../contract/records/wardrobeSorts.ts';
import { sayStanding } from '../../contract/sayStanding.ts';
import { isThere } from '../../core/care/dealings.ts';
import { standingOf } from '../../core/care/standing.ts';
import { collarStyles } from '../../core/collar/styles.ts';
import { jacketCuts, lapelKinds } from '../../core/jacket/jackets.ts';
import { fabrics } from '../../core/tie/fabrics.ts';
import { type Fineness, formatFigure, type LengthUnit } from '../../core/units/length.ts';
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
import { columnsOf, Headings, type Order, orderIn } from './Headings.tsx';

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
const readiness = [
  { key: 'any', label: 'every tie' },
  { key: 'ready', label: 'ready to wear' },
] as const;
const whose = [
  { key: 'all', label: 'all' },
  { key: 'studio', label: 'the studio’s' },
] as const;

function Wardrobe({ first, asked }: { readonly first: WardrobeSort; readonly asked: ListWanted }) {
  const [sort, setSort] = useState<WardrobeSort>(first);
  const [owner, setOwner] = useState<'all' | 'studio'>('all');
  const { line, wanted: found, units, timeZone } = useListing(sort, asked);
  const today = dayIn(timeZone);
  const { one, many } = kindWords[sort];
  const [order, setOrder] = useState<Order>(orderIn(asked));
  const [ready, setReady] = useState(asked.ready ?? false);
  const [on, setOn] = useState(asked.on);
  const ofDay = sort === 'ties' ? { ...(ready ? { ready } : {}), ...(on === undefined ? {} : { on }) } : {};
  const wanted = { ...found, ...order, ...(owner === 'studio' ? { clientId: null } : {}), ...ofDay };
  const turnTo = (to: WardrobeSort) => {
    setSort(to);
    // What one sort is ordered by another may not have.
    setOrder({});
  };
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
        <Switch label="What" value={sort} choices={sortChoices} onChange={turnTo} />
        {sort === 'ties' && (
          <div className="flex items-center gap-2">
            <Switch label="Which" value={ready ? 'ready' : 'any'} choices={readiness} onChange={(key) => setReady(key === 'ready')} />
            <label className="flex items-center gap-2">
              on
              <input
                type="date"
                className="h-9 border-b-2 border-set/40 bg-transparent px-1 text-set focus:border-set"
                value={on ?? today}
                onChange={({ target }) => setOn(isDay(target.value) && target.value !== today ? target.value : undefined)}
              />
            </label>
          </div>
        )}
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
      <Headings sort={sort} order={order} units={units} onOrder={setOrder} />
      <RecordList
        key={sort}
        kind={sort}
        wanted={wanted}
        from={asked.from ?? 0}
        rowPx={rowPx[sort]}
        row={rows(units)[sort]}
        whenNone={ready && sort === 'ties' ? `No tie is ready to wear on ${sayDay(on ?? today, 'UTC')}.` : whenNone}
      />
    </>
  );
}

const rowPx: Readonly<Record<WardrobeSort, number>> = { ties: 56, squares: 56, shirts: 48, jackets: 48 };

type Rows = { readonly [K in WardrobeSort]: (record: Listed<K>) => ReactNode };

/** How one of each sort is shown, a cell a column. */
function rows(units: LengthUnit): Record<WardrobeSort, (record: Listed<WardrobeSort>) => ReactNode> {
  const figure = (mm: number | null, fineness?: Fineness) => (
    <span className="figures text-right text-lg text-set max-sm:hidden">{mm === null ? '—' : formatFigure(mm, units, fineness)}</span>
  );
  const words = (text: string) => <span className="truncate text-note text-soft max-sm:hidden">{text}</span>;
  const each: Rows = {
    ties: (tie) => (
      <Row
        sort="ties"
        record={tie}
        picture={
          <div className={`h-13 ${isThere(tie) ? '' : 'opacity-45'}`}>
            <HangingTie id={`list-${tie.id}`} tie={tie} cloth={lookOf(tie, tie.colours)} />
          </div>
        }
      >
        {words(fabrics[tie.fabric].label)}
        {figure(tie.lengthMm)}
        {figure(tie.bladeMm)}
        {figure(tie.thicknessMm, 'thickness')}
        <span className="figures text-right text-lg text-follows max-sm:hidden">{tie.care.wearings}</span>
        <Status tie={tie} />
      </Row>
    ),
    squares: (square) => (
      <Row sort="squares" record={square} picture={<FoldedSquare cloth={square} className="h-11" />}>
        {words(fabrics[square.fabric].label)}
      </Row>
    ),
    shirts: (shirt) => (
      <Row sort="shirts" record={shirt} picture={<Swatch colours={coloursOf(shirt) ?? []} />}>
        {words(collarStyles[shirt.collarStyle].label)}
        {figure(shirt.collarSpreadMm)}
        {figure(shirt.collarPointMm)}
      </Row>
    ),
    jackets: (jacket) => (
      <Row sort="jackets" record={jacket} picture={<Swatch colours={coloursOf(jacket) ?? []} />}>
        {words(`${lapelKinds[jacket.lapelKind].label}, ${jacketCuts[jacket.cut].label}`)}
        {figure(jacket.lapelMm)}
        {figure(jacket.buttoningMm)}
      </Row>
    ),
  };
  return each as Record<WardrobeSort, (record: Listed<WardrobeSort>) => ReactNode>;
}

/** Where a tie stands on the day asked for, and when it was worn last. */
function Status({ tie }: { readonly tie: TieAtHand }) {
  const standing = standingOf(tie);
  const { wornOn } = tie.care;
  return (
    <span className="text-note leading-tight">
      <span className={standing.code === 'ready' ? 'text-follows' : 'text-outside'}>{sayStanding(standing, sayDayShortly)}</span>
      {standing.clientId && (
        <>
          {', with '}
          <ClientName id={standing.clientId} />
        </>
      )}
      <span className="block text-soft max-sm:hidden">{wornOn === null ? 'never worn' : `worn ${sayDayShortly(wornOn)}`}</span>
    </span>
  );
}

interface RowProps {
  readonly sort: WardrobeSort;
  readonly record: { readonly id: string; readonly label: string; readonly clientId: string | null; readonly draft?: boolean };
  readonly picture: ReactNode;
  /** The cells between the name and the owner. */
  readonly children: ReactNode;
}

function Row({ sort, record, picture, children }: RowProps) {
  return (
    <div className={`${columnsOf[sort].grid} h-full items-center hover:bg-white/60`}>
      {picture}
      <span className="min-w-0 truncate">
        <a className="text-lg font-medium text-set underline decoration-1 underline-offset-4" href={`/${sort}/${record.id}`}>
          {record.label}
        </a>
        {record.draft && <span className="pl-2 text-note text-soft">draft</span>}
      </span>
      {children}
      <span className={`truncate text-note ${sort === 'ties' ? 'max-sm:hidden' : ''}`}>
        <Owner clientId={record.clientId} />
      </span>
    </div>
  );
}

function Owner({ clientId }: { readonly clientId: string | null }) {
  return clientId === null ? <span className="text-soft">the studio’s</span> : <ClientName id={clientId} />;
}

function ClientName({ id }: { readonly id: string }) {
  const { data } = useQuery(recordQuery('clients', id));
  return (
    <a className="text-set underline decoration-1 underline-offset-2" href={`/clients/${id}`}>
      {data?.name ?? 'Loading…'}
    </a>
  );
}
