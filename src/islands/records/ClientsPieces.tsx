import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { kindWords, titleOf } from '../../contract/records/kindWords.ts';
import type { Kind } from '../../contract/records/records.ts';
import { Swatch } from '../ui/Swatch.tsx';
import { capital } from '../ui/words.ts';
import { listQuery } from '../wire/queries.ts';
import { coloursOf } from './coloursOf.ts';

const piecesWorn = ['outfits', 'shirts', 'jackets', 'ties', 'squares'] as const satisfies readonly Kind[];
type PieceKind = (typeof piecesWorn)[number];

/** What a client wears and owns, each piece a step away. */
export function ClientsPieces({ clientId, name }: { readonly clientId: string; readonly name: string }) {
  return (
    <section aria-label={`${name}’s wardrobe`} className="border-t-2 border-ink pt-3">
      <div className="grid gap-x-8 gap-y-4 sm:grid-cols-2 lg:grid-cols-5">
        {piecesWorn.map((kind) => (
          <Pieces key={kind} kind={kind} clientId={clientId} />
        ))}
      </div>
    </section>
  );
}

function Pieces({ kind, clientId }: { readonly kind: PieceKind; readonly clientId: string }) {
  const { data, failureCount } = useQuery(listQuery(kind, { clientId }));
  const { one, many } = kindWords[kind];
  return (
    <div>
      <h2 className="flex items-center justify-between border-b border-line text-lg font-medium">
        {capital(many)}
        <a
          className="flex size-9 items-center justify-center text-set"
          href={`/${kind}/new?clientId=${clientId}`}
          aria-label={`New ${one}`}
          title={`New ${one}`}
        >
          <Plus aria-hidden className="size-5" />
        </a>
      </h2>
      {!data && <p className="py-1 text-soft">{failureCount > 0 ? 'Can’t be reached. Still trying.' : 'Loading…'}</p>}
      {data?.total === 0 && <p className="py-1 text-soft">None yet.</p>}
      <ul>
        {data?.rows.map((record) => {
          const colours = coloursOf(record);
          return (
            <li key={record.id}>
              <a className="flex min-h-9 items-center gap-2 text-set hover:underline" href={`/${kind}/${record.id}`}>
                {colours && <Swatch colours={colours} />}
                <span>
                  {titleOf(record)}
                  {'occasion' in record && record.occasion && <span className="block text-note text-soft">{record.occasion}</span>}
                </span>
              </a>
            </li>
          );
        })}
      </ul>
      {data && data.total > data.rows.length && <p className="text-note text-soft">and {data.total - data.rows.length} more</p>}
    </div>
  );
}
