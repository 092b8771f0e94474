import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useLayoutEffect, useRef, useState } from 'react';
import type { ListWanted } from '../../../contract/answerKeys.ts';
import { kindWords } from '../../../contract/records/kindWords.ts';
import { type Kind, type Listed, type Page, pageSize } from '../../../contract/records/records.ts';
import { Link } from '../../ui/Button.tsx';
import { Loading } from '../../ui/Loading.tsx';
import { OutageNotice } from '../../ui/OutageNotice.tsx';
import { useAlive } from '../../ui/useAlive.ts';
import { listQuery } from '../../wire/queries.ts';

interface RecordListProps<K extends Kind> {
  readonly kind: K;
  readonly wanted: Omit<ListWanted, 'from'>;
  /** From which record on the address asks for it; counts without scripts only. */
  readonly from: number;
  /** Height of a row, px. */
  readonly rowPx: number;
  readonly row: (record: Listed<K>) => ReactNode;
  /** What is said where nothing is kept at all. */
  readonly whenNone: ReactNode;
}

/** However many records there are: only the rows in sight are drawn, and only their pages fetched; page by page without scripts. */
export function RecordList<K extends Kind>(props: RecordListProps<K>) {
  const { kind, wanted, from, whenNone } = props;
  const alive = useAlive();
  const first = useQuery({ ...listQuery(kind, { ...wanted, ...(!alive && from > 0 ? { from } : {}) }), placeholderData: keepPreviousData });
  const total = first.data?.total ?? 0;
  const { one, many } = kindWords[kind];
  const sought = wanted.find?.trim();
  if (first.isError) return <p className="py-4 text-xl">{first.error.message}</p>;
  if (!first.data) return first.failureCount > 0 ? <OutageNotice what="The list loads as soon as they are back." /> : <Loading />;
  return (
    <div aria-busy={first.isFetching}>
      <p role="status" className="pb-1 text-note text-soft">
        {total} {total === 1 ? one : many}
        {sought ? ` with “${sought}”` : ''}
        {wanted.archived ? ', archived' : ''}
      </p>
      {total === 0 && (
        <div className="py-4 text-lg text-soft">
          {sought ? `No ${one} found for “${sought}”.` : wanted.archived ? `No ${one} is archived.` : whenNone}
        </div>
      )}
      {alive ? (
        <RowsInSight {...props} first={first.data as Page<Listed<K>>} />
      ) : (
        <PlainRows {...props} page={first.data as Page<Listed<K>>} />
      )}
    </div>
  );
}

/** One page of the list as it stands, with the ways to the next. */
function PlainRows<K extends Kind>({ wanted, from, rowPx, row, page }: RecordListProps<K> & { readonly page: Page<Listed<K>> }) {
  const to = (at: number) =>
    `?${new URLSearchParams({ ...(wanted.find && { find: wanted.find }), ...(wanted.archived && { archived: 'on' }), from: String(at) })}`;
  return (
    <>
      <ul>
        {page.rows.map((record) => (
          <li key={record.id} className="border-b border-line" style={{ height: rowPx }}>
            {row(record)}
          </li>
        ))}
      </ul>
      {page.total > pageSize && (
        <p className="flex gap-6 py-2">
          {from > 0 && <Link href={to(Math.max(0, from - pageSize))}>Previous {pageSize}</Link>}
          {from + pageSize < page.total && <Link href={to(from + pageSize)}>Next {pageSize}</Link>}
        </p>
      )}
    </>
  );
}

function RowsInSight<K extends Kind>({ kind, wanted, rowPx, row, first }: RecordListProps<K> & { readonly first: Page<Listed<K>> }) {
  const list = useRef<HTMLUListElement>(null);
  const [offset, setOffset] = useState(0);
  const rows = useWindowVirtualizer({ count: first.total, estimateSize: () => rowPx, overscan: 6, scrollMargin: offset });
  const inSight = rows.getVirtualItems();
  const pages = [...new Set(inSight.map(({ index }) => Math.floor(index / pageSize)))].filter((page) => page > 0);
  const further = useQueries({ queries: pages.map((page) => listQuery(kind, { ...wanted, from: page * pageSize })) });
  useLayoutEffect(() => setOffset(list.current?.offsetTop ?? 0), []);

  const at = (index: number): Listed<K> | undefined => {
    const page = Math.floor(index / pageSize);
    const source = page === 0 ? first : further[pages.indexOf(page)]?.data;
    return source?.rows[index % pageSize] as Listed<K> | undefined;
  };
  return (
    <ul ref={list} className="relative" style={{ height: rows.getTotalSize() }}>
      {inSight.map(({ index, start }) => {
        const record = at(index);
        return (
          <li
            key={record?.id ?? index}
            className="absolute inset-x-0 top-0 border-b border-line"
            style={{ height: rowPx, transform: `translateY(${start - offset}px)` }}
            aria-posinset={index + 1}
            aria-setsize={first.total}
          >
            {record ? row(record) : <p className="p-2 text-soft">Loading…</p>}
          </li>
        );
      })}
    </ul>
  );
}
