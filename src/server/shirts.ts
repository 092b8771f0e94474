import type { ShirtRecord } from '../contract/records.ts';
import type { Queryable } from './database.ts';

export async function listShirts(sql: Queryable, studioId: string): Promise<ShirtRecord[]> {
  return sql<ShirtRecord[]>`
    select id, client_id, label, collar_point_mm, collar_spread_mm, tie_space_mm, collar_allowance_mm, buttons_mm, colour
    from shirts where studio_id = ${studioId} order by lower(label), id`;
}

export async function addShirt(sql: Queryable, studioId: string, shirt: ShirtRecord): Promise<void> {
  await sql`insert into shirts ${sql({ ...shirt, buttonsMm: [...shirt.buttonsMm], studioId })}`;
}
