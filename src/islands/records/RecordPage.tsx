import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { kinds } from '../../contract/records/kinds.ts';
import type { Kind } from '../../contract/records/records.ts';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { createQueryClient, recordQuery, studioQuery } from '../wire/queries.ts';
import { ClientsPieces } from './ClientsPieces.tsx';
import { entriesOf, freshEntries } from './form/entries.ts';
import { RecordForm } from './form/RecordForm.tsx';

interface RecordPageProps {
  readonly kind: Kind;
  /** `new` for one that is to be added. */
  readonly id: string;
}

/** One client, shirt, jacket, tie, square or outfit: to read, to change, to put away. */
export function RecordPage(props: RecordPageProps) {
  const [queries] = useState(createQueryClient);
  return (
    <QueryClientProvider client={queries}>
      {props.id === 'new' ? <NewRecord kind={props.kind} /> : <KeptRecord {...props} />}
    </QueryClientProvider>
  );
}

function NewRecord({ kind }: { readonly kind: Kind }) {
  const studio = useQuery(studioQuery);
  const [initial] = useState(() => {
    const known = new URLSearchParams(location.search);
    return freshEntries(kind, Object.fromEntries([...known].filter(([key]) => key in kinds[kind].fresh)));
  });
  if (!studio.data) return <Waiting one={kinds[kind].one} failed={studio.failureCount > 0} message={studio.error?.message} />;
  return (
    <RecordForm
      kind={kind}
      initial={initial}
      draftId="new"
      studioUnits={studio.data.units}
      onKept={(record) => location.replace(`/${kind}/${record.id}`)}
    />
  );
}

function KeptRecord({ kind, id }: RecordPageProps) {
  const studio = useQuery(studioQuery);
  const record = useQuery({ ...recordQuery(kind, id), staleTime: Number.POSITIVE_INFINITY });
  const units = studio.data?.units;
  if (!record.data || !units) {
    const failed = record.failureCount > 0 || studio.failureCount > 0;
    return <Waiting one={kinds[kind].one} failed={failed} message={(record.error ?? studio.error)?.message} />;
  }
  return (
    <>
      {kind === 'outfits' && 'clientId' in record.data && record.data.clientId && <Whose clientId={record.data.clientId} />}
      <RecordForm kind={kind} initial={entriesOf(record.data)} draftId={id} studioUnits={units} onKept={() => undefined} />
      {kind === 'clients' && <ClientsPieces clientId={id} name={kinds.clients.titleOf(record.data)} />}
    </>
  );
}

/** An outfit is somebody's: the way back to him. */
function Whose({ clientId }: { readonly clientId: string }) {
  const { data } = useQuery(recordQuery('clients', clientId));
  return (
    <p className="text-lg">
      <a className="text-set underline underline-offset-4" href={`/clients/${clientId}`}>
        {data?.name ?? '…'}
      </a>{' '}
      dressed for
    </p>
  );
}

function Waiting({ one, failed, message }: { readonly one: string; readonly failed: boolean; readonly message: string | undefined }) {
  if (message) return <p className="py-6 text-xl">{message}</p>;
  if (failed) return <OutageNotice what={`The ${one} will appear as soon as it can; this page keeps trying.`} />;
  return <p className="py-6 text-xl text-soft">Fetching the {one} …</p>;
}
