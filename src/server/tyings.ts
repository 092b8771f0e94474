import type { TyingBefore } from '../contract/tying.ts';
import { isUuid, type Queryable } from './database.ts';
import { notFound } from './http/problem.ts';
import { recordsById } from './records.ts';

/** What a tying was before each change of it and before it was deleted, the latest first. */
export async function tyingHistory(sql: Queryable, studioId: string, id: string): Promise<TyingBefore[]> {
  if (!isUuid(id)) throw notFound('tying');
  const rows = await sql<(Omit<TyingBefore, 'changedAt'> & { changedAt: Date })[]>`
    select version, was, deleted, changed_at from tying_history where studio_id = ${studioId} and tying_id = ${id}
    order by changed_at desc, version desc`;
  return rows.map((row) => ({ ...row, changedAt: row.changedAt.toISOString() }));
}

/** Deletes a tying; the trace of it is kept by the table itself. Refuses an id that never was there. */
export async function deleteTying(sql: Queryable, studioId: string, id: string): Promise<{ readonly deleted: string }> {
  const there = (await recordsById(sql, studioId, 'tyings', [id])).has(id.toLowerCase());
  if (!there && (!isUuid(id) || (await tyingHistory(sql, studioId, id)).length === 0)) throw notFound('tying');
  if (there) await sql`delete from tyings where studio_id = ${studioId} and id = ${id}`;
  return { deleted: id };
}
