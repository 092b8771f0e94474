import type { ListWanted } from '../contract/answerKeys.ts';
import { dayIn } from '../contract/days.ts';
import type { Kind, Listed, Page, TieRecord } from '../contract/records/records.ts';
import { withCare } from './care.ts';
import type { Asked } from './http/endpoint.ts';
import { listRecords, type Wanted } from './records.ts';

/** A page of records as lists show them: ties with where they stand on the day asked for, today where nothing is said. */
export async function listShown<K extends Kind>(
  { sql, studio }: Pick<Asked, 'sql' | 'studio'>,
  kind: K,
  wanted: ListWanted & Pick<Wanted, 'most'>,
): Promise<Page<Listed<K>>> {
  const on = wanted.on ?? dayIn(studio.timeZone);
  const { rows, total } = await listRecords(sql, studio.id, kind, { ...wanted, on });
  const shown = kind === 'ties' ? await withCare(sql, studio.id, rows as readonly TieRecord[], on) : rows;
  return { rows: shown as readonly Listed<K>[], total };
}
