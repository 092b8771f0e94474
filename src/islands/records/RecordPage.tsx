import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Given } from '../../contract/given.ts';
import { fieldsOf } from '../../contract/records/kinds/index.ts';
import { titleOf } from '../../contract/records/kindWords.ts';
import type { ClientRecord, Kind, TieRecord, TyingRecord } from '../../contract/records/records.ts';
import { Link } from '../ui/Button.tsx';
import { Loading } from '../ui/Loading.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { recordQuery, studioQuery } from '../wire/queries.ts';
import { WithGiven } from '../wire/WithGiven.tsx';
import { ClientLife } from './ClientLife.tsx';
import { ClientsPieces } from './ClientsPieces.tsx';
import { entriesOf, freshEntries } from './form/entries.ts';
import { RecordForm } from './form/RecordForm.tsx';
import { TieLife } from './TieLife.tsx';
import { TieStanding } from './TieStanding.tsx';
import { TyingTrace } from './TyingTrace.tsx';

interface RecordPageProps {
  readonly kind: Kind;
  /** `new` for one that is to be added. */
  readonly id: string;
  readonly given: Given;
  /** What the address says of a new one. */
  readonly known?: Readonly<Record<string, string>>;
}

/** One record of any kind: to read, to change, to archive. */
export function RecordPage({ given, id, kind, known = {} }: RecordPageProps) {
  return <WithGiven given={given}>{id === 'new' ? <NewRecord kind={kind} known={known} /> : <KeptRecord kind={kind} id={id} />}</WithGiven>;
}

function NewRecord({ kind, known }: { readonly kind: Kind; readonly known: Readonly<Record<string, string>> }) {
  const studio = useQuery(studioQuery);
  const [initial] = useState(() => freshEntries(kind, knownIn(kind, known)));
  if (!studio.data) return <Waiting failed={studio.failureCount > 0} message={studio.error?.message} />;
  return (
    <RecordForm
      kind={kind}
      initial={initial}
      draftId="new"
      studio={studio.data}
      onKept={(record) => location.replace(`/${kind}/${record.id}`)}
    />
  );
}

/** What an address says of a new record: words as they are, lengths and lists as such. */
function knownIn(kind: Kind, known: Readonly<Record<string, string>>): Readonly<Record<string, unknown>> {
  const said = fieldsOf(kind).flatMap(([key, field]): [string, unknown][] => {
    const text = known[key];
    if (text === undefined) return [];
    if (field.kind === 'length') return [[key, Number.isFinite(Number(text)) ? Number(text) : text]];
    return [[key, field.kind === 'colours' ? text.split(' ').filter(Boolean) : text]];
  });
  return Object.fromEntries(said);
}

function KeptRecord({ kind, id }: { readonly kind: Kind; readonly id: string }) {
  const studio = useQuery(studioQuery);
  const record = useQuery({ ...recordQuery(kind, id), staleTime: Number.POSITIVE_INFINITY });
  if (!record.data || !studio.data) {
    const failed = record.failureCount > 0 || studio.failureCount > 0;
    return <Waiting failed={failed} message={(record.error ?? studio.error)?.message} />;
  }
  const form = (
    <RecordForm
      kind={kind}
      initial={entriesOf(record.data)}
      draftId={id}
      studio={studio.data}
      onKept={() => undefined}
      nested={kind === 'clients'}
    />
  );
  return (
    <>
      {kind === 'outfits' && 'clientId' in record.data && record.data.clientId && (
        <PartOf what="Outfit" kind="clients" id={record.data.clientId} />
      )}
      {kind === 'ties' && <TieStanding tie={record.data as TieRecord} studio={studio.data} />}
      {kind === 'cares' && 'tieId' in record.data && record.data.tieId && <PartOf what="Care" kind="ties" id={record.data.tieId} />}
      {kind === 'clients' ? (
        <ClientLife client={record.data as ClientRecord} units={studio.data.units} timeZone={studio.data.timeZone}>
          {form}
        </ClientLife>
      ) : (
        form
      )}
      {kind === 'ties' && <TieLife tie={record.data as TieRecord} studio={studio.data} />}
      {kind === 'tyings' && <TyingTrace tying={record.data as TyingRecord} units={studio.data.units} timeZone={studio.data.timeZone} />}
      {kind === 'clients' && <ClientsPieces clientId={id} name={titleOf(record.data)} />}
    </>
  );
}

/** A record that is somebody’s, or of something: the way back there. */
function PartOf({ what, kind, id }: { readonly what: string; readonly kind: 'clients' | 'ties'; readonly id: string }) {
  const { data } = useQuery(recordQuery(kind, id));
  return (
    <p className="text-lg">
      {what} of <Link href={`/${kind}/${id}`}>{data ? titleOf(data) : 'Loading…'}</Link>
    </p>
  );
}

function Waiting({ failed, message }: { readonly failed: boolean; readonly message: string | undefined }) {
  if (message) return <p className="py-6 text-xl">{message}</p>;
  return failed ? <OutageNotice what="This page loads as soon as they are back." /> : <Loading />;
}
