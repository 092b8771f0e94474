import type { TieAtHand, TieRecord } from '../contract/records/records.ts';
import type { Dealing, dealings } from '../core/care/dealings.ts';
import { fabricCare } from '../core/care/fabricCare.ts';
import { type TieCare, unworn } from '../core/care/standing.ts';
import { fabricCodes } from '../core/tie/fabrics.ts';
import type { Queryable } from './database.ts';

interface CareRow {
  readonly tieId: string;
  readonly wearings: number;
  readonly wornOn: string | null;
  readonly knottedOn: string | null;
  readonly held: Dealing | null;
}

/** The ties, each with how it was used up to a day (`YYYY-MM-DD`) and what holds it on that day. */
export async function withCare(sql: Queryable, studioId: string, ties: readonly TieRecord[], day: string): Promise<TieAtHand[]> {
  const ids = ties.map(({ id }) => id);
  const rows = await sql<CareRow[]>`
    select asked.tie_id, wearings, worn_on, knotted_on, held
    from unnest(${ids}::uuid[]) as asked (tie_id)
    cross join lateral (
      select count(distinct day) filter (where worn)::int as wearings, max(day) filter (where worn) as worn_on, max(day) as knotted_on
      from tie_days where studio_id = ${studioId} and tie_days.tie_id = asked.tie_id and day <= ${day}) as used
    left join lateral (
      select json_build_object('what', what, 'clientId', client_id, 'fromOn', from_on, 'untilOn', until_on) as held
      from cares where ${holding(sql, studioId, sql`asked.tie_id`, day)}
      order by array_position(${heldOrder}::text[], what), from_on limit 1) as holding on true`;
  const byId = new Map(rows.map(({ tieId, ...care }) => [tieId, { on: day, ...care } satisfies TieCare]));
  return ties.map((tie) => ({ ...tie, care: byId.get(tie.id) ?? unworn(day) }));
}

/** Where it is goes before how it is kept. */
const heldOrder = ['repair', 'lent', 'aside', 'looped'] satisfies (keyof typeof dealings)[];

/** Whether something holds a tie on a day. */
function holding(sql: Queryable, studioId: string, tie: ReturnType<Queryable>, day: string) {
  return sql`cares.studio_id = ${studioId} and cares.tie_id = ${tie} and not cares.archived and cares.what <> 'worn'
    and cares.from_on <= ${day} and (cares.until_on is null or cares.until_on > ${day})`;
}

/** Whether a tie, a `record` of a list, is ready to be worn on a day: in the wardrobe, undone, and rested as its fabric wants. */
export function isReadyOn(sql: Queryable, studioId: string, day: string) {
  const rest = fabricCodes.map((code) => fabricCare[code].restDays);
  return sql`not exists (select 1 from cares where ${holding(sql, studioId, sql`record.id`, day)})
    and not exists (
      select 1 from tie_days where tie_days.studio_id = ${studioId} and tie_days.tie_id = record.id and day <= ${day}
        and day::date + (${rest}::int[])[array_position(${fabricCodes}::text[], record.fabric::text)] >= ${day}::date)`;
}

/** What a list of ties, each a `record`, can be ordered by besides its fields. */
export const careOrder = {
  wearings: (sql: Queryable, studioId: string, day: string) =>
    sql`(select count(distinct day) from tie_days where tie_days.studio_id = ${studioId} and tie_days.tie_id = record.id and worn and day <= ${day})`,
  wornOn: (sql: Queryable, studioId: string, day: string) =>
    sql`(select max(day) from tie_days where tie_days.studio_id = ${studioId} and tie_days.tie_id = record.id and worn and day <= ${day})`,
} as const;
