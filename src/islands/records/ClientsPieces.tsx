import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { kinds } from '../../contract/records/kinds.ts';
import type { Kind } from '../../contract/records/records.ts';
import { Swatch } from '../ui/Swatch.tsx';
import { listQuery } from '../wire/queries.ts';

const things: readonly Exclude<Kind, 'clients'>[] = ['outfits', 'shirts', 'jackets', 'ties', 'squares'];

/** What a client wears and owns, each thing a step away. */
export function ClientsPieces({ clientId, name }: { readonly clientId: string; readonly name: string }) {
  return (
    <section aria-label={`What ${name} wears`} className="border-t-2 border-ink pt-3">
      <div className="grid gap-x-8 gap-y-4 sm:grid-cols-2 lg:grid-cols-5">
        {things.map((kind) => (
          <Things key={kind} kind={kind} clientId={clientId} />
        ))}
      </div>
    </section>
  );
}

function Things({ kind, clientId }: { readonly kind: Exclude<Kind, 'clients'>; readonly clientId: string }) {
  const { data, failureCount } = useQuery(listQuery(kind, { clientId }));
  const { one, many, titleOf } = kinds[kind];
  return (
    <div>
      <h2 className="flex items-center justify-between border-b border-line text-lg font-medium">
        {many.charAt(0).toUpperCase() + many.slice(1)}
        <a
          className="flex size-9 items-center justify-center text-set"
          href={`/${kind}/new?clientId=${clientId}`}
          aria-label={`New ${one}`}
          title={`New ${one}`}
        >
          <Plus aria-hidden className="size-5" />
        </a>
      </h2>
      {!data && <p className="py-1 text-soft">{failureCount > 0 ? 'out of reach, trying …' : '…'}</p>}
      {data?.total === 0 && <p className="py-1 text-soft">none yet</p>}
      <ul>
        {data?.rows.map((record) => (
          <li key={record.id}>
            <a className="flex min-h-9 items-center gap-2 text-set hover:underline" href={`/${kind}/${record.id}`}>
              {'colours' in record ? <Swatch colours={record.colours} /> : 'colour' in record ? <Swatch colours={[record.colour]} /> : null}
              <span>
                {titleOf(record)}
                {'occasion' in record && record.occasion && <span className="block text-note text-soft">{record.occasion}</span>}
              </span>
            </a>
          </li>
        ))}
      </ul>
      {data && data.total > data.rows.length && <p className="text-note text-soft">and {data.total - data.rows.length} more</p>}
    </div>
  );
}
