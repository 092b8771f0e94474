import type { TitleOf, Values } from '../../contract/exchange/column.ts';
import { writeCsv } from '../../contract/exchange/csv.ts';
import { type ExchangeFile, exchangeFiles } from '../../contract/exchange/report.ts';
import { type StudioList, studioPieces } from '../../contract/exchange/studioFile.ts';
import { writeVcards } from '../../contract/exchange/vcard.ts';
import { fieldsOf } from '../../contract/records/kinds/index.ts';
import { kindCodes, titleOf } from '../../contract/records/kindWords.ts';
import type { Kind, RecordOf, StudioRecord } from '../../contract/records/records.ts';
import type { Queryable } from '../database.ts';
import { fittingPortions } from '../fittings.ts';
import { recordPortions, recordsById } from '../records.ts';
import { streamedFromOneMoment } from './streamed.ts';

export interface ExportedFile {
  readonly type: string;
  readonly content: ReadableStream<Uint8Array>;
}

const types = { csv: 'text/csv; charset=utf-8', vcard: 'text/vcard; charset=utf-8', json: 'application/json; charset=utf-8' } as const;

/** One of the files that a studio is exported in, all of it from one moment, however much it is. */
export async function exportFile(sql: Queryable, studio: StudioRecord, name: ExchangeFile): Promise<ExportedFile> {
  const file = exchangeFiles[name];
  const content = await streamedFromOneMoment(sql, (moment) => {
    switch (file.format) {
      case 'csv':
        return tableOf(moment, studio.id, file.kind);
      case 'vcard':
        return cards(moment, studio.id);
      case 'json':
        return studioPieces(studio, listsOf(moment, studio.id));
    }
  });
  return { type: types[file.format], content };
}

async function* tableOf<K extends Kind>(sql: Queryable, studioId: string, kind: K): AsyncGenerator<string> {
  let isFirst = true;
  for await (const records of recordPortions(sql, studioId, kind)) {
    const rows = writeCsv(kind, records as readonly unknown[] as readonly Values[], await titlesFor(sql, studioId, kind, records));
    yield isFirst ? rows : rows.slice(rows.indexOf('\r\n') + 2);
    isFirst = false;
  }
}

async function* cards(sql: Queryable, studioId: string): AsyncGenerator<string> {
  for await (const clients of recordPortions(sql, studioId, 'clients')) yield writeVcards(clients.filter(({ archived }) => !archived));
}

/** The titles of all that these records refer to. */
async function titlesFor<K extends Kind>(sql: Queryable, studioId: string, kind: K, records: readonly RecordOf[K][]): Promise<TitleOf> {
  const titles = new Map<string, string>();
  for (const [key, field] of fieldsOf(kind)) {
    if (field.kind !== 'reference') continue;
    const ids = records.map((record) => (record as unknown as Values)[key]).filter((id): id is string => typeof id === 'string');
    for (const [id, other] of await recordsById(sql, studioId, field.to, [...new Set(ids)])) titles.set(id, titleOf(other));
  }
  return (_, id) => titles.get(id);
}

function* listsOf(sql: Queryable, studioId: string): Generator<StudioList> {
  for (const kind of kindCodes) yield { key: kind, portions: withoutVersions(recordPortions(sql, studioId, kind)) };
  yield { key: 'fittings', portions: fittingPortions(sql, studioId) };
}

/** Counts of changes stay behind: they mean nothing elsewhere. */
async function* withoutVersions(portions: AsyncIterable<readonly RecordOf[Kind][]>): AsyncGenerator<readonly object[]> {
  for await (const portion of portions) yield portion.map(({ version: _, ...record }) => record);
}
