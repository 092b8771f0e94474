import type { TitleOf, Values } from '../../contract/exchange/column.ts';
import { writeCsv } from '../../contract/exchange/csv.ts';
import { type ExchangeFile, exchangeFiles } from '../../contract/exchange/report.ts';
import { type StudioFile, studioFormat } from '../../contract/exchange/studioFile.ts';
import { writeVcards } from '../../contract/exchange/vcard.ts';
import type { Fitting } from '../../contract/fitting.ts';
import { fieldsOf } from '../../contract/records/kinds/index.ts';
import { kindCodes, titleOf } from '../../contract/records/kindWords.ts';
import type { Kind, RecordOf, StudioRecord } from '../../contract/records/records.ts';
import { inTransaction, type Queryable } from '../database.ts';
import { everyFitting } from '../fittings.ts';
import { everyRecord, recordsById } from '../records.ts';

export interface ExportedFile {
  readonly type: string;
  readonly text: string;
}

const types = { csv: 'text/csv; charset=utf-8', vcard: 'text/vcard; charset=utf-8', json: 'application/json; charset=utf-8' } as const;

/** One of the files that a studio is exported in, all of it from one moment. */
export async function exportFile(sql: Queryable, studio: StudioRecord, name: ExchangeFile): Promise<ExportedFile> {
  const file = exchangeFiles[name];
  const text = await inTransaction(sql, async (moment) => {
    await moment`set transaction isolation level repeatable read, read only`;
    switch (file.format) {
      case 'csv':
        return tableOf(moment, studio.id, file.kind);
      case 'vcard':
        return writeVcards((await everyRecord(moment, studio.id, 'clients')).filter(({ archived }) => !archived));
      case 'json':
        return `${JSON.stringify(await studioFile(moment, studio), null, 1)}\n`;
    }
  });
  return { type: types[file.format], text };
}

async function tableOf<K extends Kind>(sql: Queryable, studioId: string, kind: K): Promise<string> {
  const records = await everyRecord(sql, studioId, kind);
  return writeCsv(kind, records as readonly unknown[] as readonly Values[], await titlesFor(sql, studioId, kind, records));
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

async function studioFile(sql: Queryable, studio: StudioRecord): Promise<StudioFile> {
  const records: Record<string, unknown> = {};
  for (const kind of kindCodes) {
    const every: readonly RecordOf[Kind][] = await everyRecord(sql, studio.id, kind);
    records[kind] = every.map(({ version: _, ...record }) => record);
  }
  const fittings: readonly Fitting[] = await everyFitting(sql, studio.id);
  return { ...studioFormat, studio, ...records, fittings } as StudioFile;
}
