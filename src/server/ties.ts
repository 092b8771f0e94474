import type { TieRecord } from '../contract/records.ts';
import type { Queryable } from './database.ts';

export async function listTies(sql: Queryable, studioId: string): Promise<TieRecord[]> {
  return sql<TieRecord[]>`
    select id, client_id, label, length_mm, blade_mm, neck_mm, neck_at_mm, tail_mm, thickness_mm, keeper_mm,
      fabric, pattern, colours
    from ties where studio_id = ${studioId} order by lower(label), id`;
}

export async function addTie(sql: Queryable, studioId: string, tie: TieRecord): Promise<void> {
  await sql`insert into ties ${sql({ ...tie, colours: [...tie.colours], studioId })}`;
}
