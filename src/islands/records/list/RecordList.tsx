import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useLayoutEffect, useRef, useState } from 'react';
import { kinds } from '../../../contract/records/kinds.ts';
import { type Kind, pageSize, type RecordOf } from '../../../contract/records/records.ts';
import { OutageNotice } from '../../ui/OutageNotice.tsx';
import { type ListWanted, listQuery } from '../../wire/queries.ts';

interface RecordListProps<K extends Kind> {
  readonly kind: K;
  readonly wanted: Omit<ListWanted, 'from'>;
  /** Height of a row, px. */
  readonly rowPx: number;
  readonly row: (record: RecordOf[K]) => ReactNode;
  /** What is said where nothing is kept at all. */
  readonly whenNone: ReactNode;
}

/** However many records there are: only the rows in sight are drawn, and only their pages fetched. */
export function RecordList<K extends Kind>({ kind, wanted, rowPx, row, whenNone }: RecordListProps<K>) {
  const list = useRef<HTMLUListElement>(null);
  const [offset, setOffset] = useState(0);
  const first = useQuery({ ...listQuery(kind, wanted), placeholderData: keepPreviousData });
  const total = first.data?.total ?? 0;
  const rows = useWindowVirtualizer({ count: total, estimateSize: () => rowPx, overscan: 6, scrollMargin: offset });
  const inSight = rows.getVirtualItems();
  const pages = [...new Set(inSight.map(({ index }) => Math.floor(index / pageSize)))].filter((page) => page > 0);
  const further = useQueries({ queries: pages.map((page) => listQuery(kind, { ...wanted, from: page * pageSize })) });
  useLayoutEffect(() => setOffset(list.current?.offsetTop ?? 0), []);

  const at = (index: number): RecordOf[K] | undefined => {
    const page = Math.floor(index / pageSize);
    const source = page === 0 ? first.data : further[pages.indexOf(page)]?.data;
    return source?.rows[index % pageSize] as RecordOf[K] | undefined;
  };
  const { one, many } = kinds[kind];
  const sought = wanted.find?.trim();
  return (
    <div aria-busy={first.isFetching}>
      {first.isError && <p className="py-4 text-xl">{first.error.message}</p>}
      {!first.data && !first.isError && first.failureCount > 0 && (
        <OutageNotice what={`The ${many} will appear as soon as they can; this page keeps trying.`} />
      )}
      {!first.data && !first.isError && first.failureCount === 0 && <p className="py-4 text-xl text-soft">Fetching the {many} …</p>}
      {first.data && (
        <p role="status" className="pb-1 text-note text-soft">
          {total === 1 ? `1 ${one}` : `${total} ${many}`}
          {sought ? ` with “${sought}”` : ''}
          {wanted.archived ? ', put away' : ''}
        </p>
      )}
      {first.data && total === 0 && (
        <div className="py-4 text-lg text-soft">
          {sought ? `No ${one} is called that, or speaks of it.` : wanted.archived ? `No ${one} was put away.` : whenNone}
        </div>
      )}
      <ul ref={list} className="relative" style={{ height: rows.getTotalSize() }}>
        {inSight.map(({ index, start }) => {
          const record = at(index);
          return (
            <li
              key={record?.id ?? index}
              className="absolute inset-x-0 top-0 border-b border-line"
              style={{ height: rowPx, transform: `translateY(${start - offset}px)` }}
              aria-posinset={index + 1}
              aria-setsize={total}
            >
              {record ? row(record) : <p className="p-2 text-soft">…</p>}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
