import type { Practice } from '../contract/practice.ts';
import type { Queryable } from './database.ts';
import { everyRecord } from './records.ts';

/** Everyone who learns in the studio and was not archived, or only the one client, with what they rehearsed. */
export async function practice(sql: Queryable, studioId: string, clientId?: string): Promise<Practice> {
  const [learners, rehearsals] = await Promise.all([everyRecord(sql, studioId, 'learners'), everyRecord(sql, studioId, 'rehearsals')]);
  const there = learners.filter((learner) => !learner.archived && (clientId === undefined || learner.clientId === clientId));
  const ids = new Set(there.map(({ id }) => id));
  return {
    learners: there,
    rehearsals: rehearsals
      .filter(({ archived, learnerId }) => !archived && ids.has(learnerId))
      .toSorted((a, b) => a.doneOn.localeCompare(b.doneOn) || a.label.localeCompare(b.label)),
  };
}
