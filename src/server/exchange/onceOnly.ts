import type { ImportReport } from '../../contract/exchange/report.ts';
import { isUuid, type Queryable } from '../database.ts';
import { invalid } from '../http/problem.ts';

const rememberedDays = 30;

/**
 * Does what is asked under a key once: asked again, because the answer was lost, it answers what it answered then. One import
 * of a studio at a time: two that change the same records in another order would wait for each other.
 */
export async function onceOnly(
  sql: Queryable,
  studioId: string,
  key: string | undefined,
  run: () => Promise<ImportReport>,
): Promise<ImportReport> {
  await sql`select pg_advisory_xact_lock(hashtext('ropewalk import'), hashtext(${studioId}))`;
  if (key === undefined) return run();
  if (!isUuid(key)) throw invalid([{ path: 'key', message: 'The key of an import is a UUID.' }]);
  const [done] = await sql<{ report: ImportReport }[]>`select report from imports_done where studio_id = ${studioId} and key = ${key}`;
  if (done) return done.report;
  const report = await run();
  if (!report.applied) return report;
  await sql`delete from imports_done where done_at < now() - make_interval(days => ${rememberedDays})`;
  await sql`insert into imports_done ${sql({ studioId, key, report: sql.json(JSON.parse(JSON.stringify(report)) as never) })}`;
  return report;
}
