import type { JacketRecord } from '../contract/records.ts';
import type { Queryable } from './database.ts';

export async function listJackets(sql: Queryable, studioId: string): Promise<JacketRecord[]> {
  return sql<JacketRecord[]>`
    select id, client_id, label, lapel_mm, waistcoat, colour
    from jackets where studio_id = ${studioId} order by lower(label), id`;
}

export async function addJacket(sql: Queryable, studioId: string, jacket: JacketRecord): Promise<void> {
  await sql`insert into jackets ${sql({ ...jacket, studioId })}`;
}
