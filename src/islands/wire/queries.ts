import { QueryClient, queryOptions } from '@tanstack/react-query';
import { answerKeys, type ListWanted } from '../../contract/answerKeys.ts';
import type { BackupsTold } from '../../contract/backups.ts';
import type { ExchangeFile, ImportReport } from '../../contract/exchange/report.ts';
import type { ToldBook } from '../../contract/fitBook.ts';
import type { Fitting, FittingDraft, FittingSummary, FittingsWanted } from '../../contract/fitting.ts';
import type { Practice } from '../../contract/practice.ts';
import { kindWords, titleOf } from '../../contract/records/kindWords.ts';
import type { Kind, Listed, Page, RecordOf, StudioSeen, TyingRecord, Wardrobe } from '../../contract/records/records.ts';
import type { TieLife } from '../../contract/tieLife.ts';
import type { TyingBefore } from '../../contract/tying.ts';
import type { WalkIn } from '../../contract/walkIn.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { ask, Outage } from './http.ts';
import { askSurely, type Unsent } from './unsent.ts';

const longestPauseMs = 5000;

/** Outages are waited out, however long; refusals are not repeated. */
const patience = {
  retry: (_count: number, error: Error) => error instanceof Outage,
  retryDelay: (attempt: number) => Math.min(1000 * 2 ** attempt, longestPauseMs),
  networkMode: 'always',
} as const;

export function createQueryClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: { ...patience, staleTime: 30_000, refetchOnWindowFocus: false },
      mutations: patience,
    },
  });
}

/** What a client can be dressed from; without an id, the one fitted last. */
export function wardrobeQuery(clientId?: string | null) {
  return queryOptions({
    queryKey: answerKeys.wardrobe(clientId),
    queryFn: () => ask<Wardrobe>(`/api/wardrobe${clientId ? `?client=${encodeURIComponent(clientId)}` : ''}`),
  });
}

export const studioQuery = queryOptions({ queryKey: answerKeys.studio(), queryFn: () => ask<StudioSeen>('/api/studio') });

export const backupsQuery = queryOptions({ queryKey: answerKeys.backups(), queryFn: () => ask<BackupsTold>('/api/backups') });

export function listQuery<K extends Kind>(kind: K, wanted: ListWanted) {
  return queryOptions({ queryKey: answerKeys.list(kind, wanted), queryFn: () => listPage(kind, wanted) });
}

/** One page of a list. */
export function listPage<K extends Kind>(
  kind: K,
  { find = '', clientId, wearableBy, archived = false, from = 0, by, down = false, ready, on }: ListWanted,
): Promise<Page<Listed<K>>> {
  const query = new URLSearchParams({ find: find.trim(), archived: String(archived), from: String(from) });
  if (clientId !== undefined) query.set('client', clientId ?? 'studio');
  if (wearableBy !== undefined) query.set('wearableBy', wearableBy);
  if (by !== undefined) query.set('by', by);
  if (down) query.set('down', 'true');
  if (ready) query.set('ready', 'true');
  if (on !== undefined) query.set('on', on);
  return ask(`/api/${kind}?${query}`);
}

export function recordQuery<K extends Kind>(kind: K, id: string) {
  return queryOptions({ queryKey: answerKeys.record(kind, id), queryFn: () => ask<RecordOf[K]>(`/api/${kind}/${encodeURIComponent(id)}`) });
}

/** Adds a record that has no version yet, or changes the one that has; `draft` is what stands in its form. */
export function keepRecord<K extends Kind>(kind: K, record: RecordOf[K], units: LengthUnit, draft?: object): Promise<RecordOf[K]> {
  return askSurely(unsentRecord(kind, record, units, draft));
}

/** A record to be added or changed, as it waits to be sent. */
export function unsentRecord<K extends Kind>(kind: K, record: RecordOf[K], units: LengthUnit, draft?: object): Unsent {
  const isNew = record.version === 0;
  return {
    key: `${kind}.${record.id}.${record.version}`,
    path: `/api/${kind}${isNew ? '' : `/${record.id}`}?units=${units}`,
    method: isNew ? 'POST' : 'PUT',
    body: record,
    what: `${kindWords[kind].one} “${titleOf(record)}”`,
    page: isNew ? `/${kind}/new` : `/${kind}/${record.id}`,
    ...(draft && { draft }),
  };
}

/** Adds a new client with what they wear; answers with their wardrobe. */
export function addWalkIn(walkIn: WalkIn, units: LengthUnit): Promise<Wardrobe> {
  const { id, name } = walkIn.client;
  return askSurely({
    key: `walk-ins.${id}`,
    path: `/api/walk-ins?units=${units}`,
    method: 'POST',
    body: walkIn,
    what: `new client “${name}”`,
    page: '/clients',
  });
}

/** Everyone who learns, or one client only, with what they rehearsed. */
export function practiceQuery(clientId?: string) {
  return queryOptions({
    queryKey: answerKeys.practice(clientId),
    queryFn: () => ask<Practice>(`/api/practice${clientId === undefined ? '' : `?client=${encodeURIComponent(clientId)}`}`),
  });
}

/** A page of fittings with what became of each. */
export function fittingsQuery(wanted: FittingsWanted) {
  return queryOptions({ queryKey: answerKeys.fittings(wanted), queryFn: () => fittingsPage(wanted) });
}

export function fittingsPage({
  find = '',
  client,
  tie,
  only = 'all',
  by = 'day',
  down,
  from = 0,
  after,
}: FittingsWanted): Promise<Page<FittingSummary>> {
  const query = new URLSearchParams({ find: find.trim(), only, by, from: String(from) });
  if (client !== undefined) query.set('client', client);
  if (tie !== undefined) query.set('tie', tie);
  if (down !== undefined) query.set('down', String(down));
  if (after !== undefined) query.set('after', after);
  return ask(`/api/fittings?${query}`);
}

/** What is on record of how a fitting came out; `null` while nobody has said. */
export function tyingOfQuery(fittingId: string) {
  return queryOptions({
    queryKey: answerKeys.tyingOf(fittingId),
    queryFn: () => ask<TyingRecord | null>(`/api/fittings/${encodeURIComponent(fittingId)}/result`),
  });
}

export const fitBookQuery = queryOptions({ queryKey: answerKeys.fitBook(), queryFn: () => ask<ToldBook>('/api/fit-book') });

export function tyingHistoryQuery(id: string) {
  return queryOptions({
    queryKey: answerKeys.tyingHistory(id),
    queryFn: () => ask<TyingBefore[]>(`/api/tyings/${encodeURIComponent(id)}/history`),
  });
}

export function tieLifeQuery(id: string) {
  return queryOptions({ queryKey: answerKeys.tieLife(id), queryFn: () => ask<TieLife>(`/api/ties/${encodeURIComponent(id)}/life`) });
}

export function deleteTying(id: string): Promise<{ readonly deleted: string }> {
  return ask(`/api/tyings/${encodeURIComponent(id)}/delete`, { method: 'POST', body: {} });
}

export function fittingQuery(id: string) {
  return queryOptions({ queryKey: answerKeys.fitting(id), queryFn: () => ask<Fitting>(`/api/fittings/${encodeURIComponent(id)}`) });
}

export function deleteFitting(id: string): Promise<{ readonly deleted: string }> {
  return ask(`/api/fittings/${encodeURIComponent(id)}/delete`, { method: 'POST', body: {} });
}

/** Saves a fitting; what is to be kept of it besides goes `along`. */
export function saveFitting(draft: FittingDraft, along: readonly Unsent[] = []): Promise<Fitting> {
  const { id, clientName } = draft;
  const unsent = {
    key: unsentFittingKey(id),
    path: '/api/fittings',
    method: 'POST',
    body: draft,
    what: `fitting of ${clientName}`,
  } as const;
  return askSurely<Fitting>({ ...unsent, page: '/fittings' }, along);
}

export const unsentFittingKey = (id: string) => `fittings.${id}`;

/** What a file would do to the records; with a key, does it, all or nothing, and under this key once. */
export function importFile(file: ExchangeFile, content: string | Blob, key: string | undefined): Promise<ImportReport> {
  return ask<ImportReport>(`/api/import/${file}${key === undefined ? '' : `?apply=true&key=${key}`}`, {
    method: 'POST',
    file: content,
  });
}
