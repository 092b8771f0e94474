import type { ClientRecord } from '../contract/records.ts';
import type { Queryable } from './database.ts';

/** Every client of the studio, by name. */
export async function listClients(sql: Queryable, studioId: string): Promise<ClientRecord[]> {
  return sql<ClientRecord[]>`
    select id, name, note, height_mm, neck_mm, front_drop_mm, blade, crossing_gap_mm
    from clients where studio_id = ${studioId} order by lower(name), id`;
}

export async function addClient(sql: Queryable, studioId: string, client: ClientRecord): Promise<void> {
  await sql`insert into clients ${sql({ ...client, studioId })}`;
}
