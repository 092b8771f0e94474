import type { StudioRecord } from '../contract/records/records.ts';
import type { Queryable } from './database.ts';
import { Problem } from './http/problem.ts';

/** The studio this installation works for. */
export async function theStudio(sql: Queryable): Promise<StudioRecord> {
  const [studio] = await sql<StudioRecord[]>`select id, name, units from studios order by created_at, id limit 1`;
  if (!studio) throw new Problem(409, 'no-studio', 'No studio has been set up yet.');
  return studio;
}

/** Creates the studio, when there is none; a second call changes nothing. */
export async function createStudio(sql: Queryable, studio: StudioRecord): Promise<void> {
  await sql`insert into studios ${sql({ ...studio })} on conflict do nothing`;
}

/** Renames the studio, or lets it read in another unit. */
export async function changeStudio(sql: Queryable, { id, name, units }: StudioRecord): Promise<void> {
  await sql`update studios set ${sql({ name, units })} where id = ${id}`;
}
