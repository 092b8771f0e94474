import type { ToldBook } from '../../contract/fitBook.ts';
import { titleOf } from '../../contract/records/kindWords.ts';
import type { Queryable } from '../database.ts';
import { recordsById } from '../records.ts';
import { overview } from './book.ts';

/** As many of each as anyone reads. */
const mostTold = 40;

/** What a studio’s tyings come to, by name. */
export async function toldBook(sql: Queryable, studioId: string): Promise<ToldBook> {
  const all = await overview(sql, studioId);
  const { client, tie, knot, person } = all.groups;
  const groups = {
    client: client.slice(0, mostTold),
    tie: tie.slice(0, mostTold),
    knot: knot.slice(0, mostTold),
    person: person.slice(0, mostTold),
  };
  const spoken = Object.values(all.surest).flatMap((effects) => effects.map(({ name }) => name.split('/')[1] ?? ''));
  const grouped = [...groups.client, ...groups.tie, ...groups.person].map(({ id }) => id);
  const ids = [...new Set([...spoken, ...grouped].map((id) => id.replace(/^client:/, '')))];
  const names: Record<string, string> = {};
  for (const kind of ['clients', 'ties', 'people'] as const) {
    for (const [id, record] of await recordsById(sql, studioId, kind, ids)) names[id] = titleOf(record);
  }
  return { ...all, groups, names };
}
