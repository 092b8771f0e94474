import type { PersonRecord, StudioRecord } from '../contract/records/records.ts';
import { isUuid, type Queryable } from './database.ts';
import { Problem } from './http/problem.ts';
import { recordsById } from './records.ts';

/** The studio this installation works for. */
export async function theStudio(sql: Queryable): Promise<StudioRecord> {
  const [studio] = await sql<StudioRecord[]>`select id, name, units, time_zone from studios order by created_at, id limit 1`;
  if (!studio) throw new Problem(409, 'no-studio', 'No studio has been set up yet.');
  return studio;
}

/** The studio, and who is dressing: `null` where nobody was chosen, or who was chosen is not there any more. */
export async function whoAsks(
  sql: Queryable,
  personId: string | undefined,
): Promise<{ readonly studio: StudioRecord; readonly person: PersonRecord | null }> {
  const studio = await theStudio(sql);
  if (!personId || !isUuid(personId)) return { studio, person: null };
  const person = (await recordsById(sql, studio.id, 'people', [personId])).get(personId.toLowerCase());
  return { studio, person: person && !person.archived ? person : null };
}

/** Creates the studio, when there is none; a second call changes nothing. */
export async function createStudio(sql: Queryable, studio: StudioRecord): Promise<void> {
  await sql`insert into studios ${sql({ ...studio })} on conflict do nothing`;
}

/** Renames the studio, or changes the unit it reads or its time zone. */
export async function changeStudio(sql: Queryable, { id, name, units, timeZone }: StudioRecord): Promise<void> {
  await sql`update studios set ${sql({ name, units, timeZone })} where id = ${id}`;
}
