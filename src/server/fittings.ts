import type { Fitting, FittingDraft, FittingSummary } from '../contract/fitting.ts';
import { completeRequest, type KnotPlan, plan } from '../core/index.ts';
import { brokenConstraint, isUuid, type Queryable } from './database.ts';
import { invalid, notFound } from './http/problem.ts';

const mostListed = 200;

/** The latest fittings, newest first. */
export async function listFittings(sql: Queryable, studioId: string): Promise<FittingSummary[]> {
  const rows = await sql<FittingSummary[]>`
    select id, client_name, shirt_label, jacket_label, tie_label, cloth, knot, note, created_at,
      answer -> 'names' as names,
      (answer -> 'start' ->> 'tailDropMm')::float8 as tail_drop_mm,
      (answer -> 'tip' ->> 'dropMm')::float8 as tip_drop_mm
    from fittings where studio_id = ${studioId}
    order by created_at desc, id limit ${mostListed}`;
  return [...rows];
}

/** One fitting as it was saved. Refuses an id that is not there. */
export async function findFitting(sql: Queryable, studioId: string, id: string): Promise<Fitting> {
  const rows = isUuid(id)
    ? await sql<Fitting[]>`
        select ${fittingColumns(sql)} from fittings where studio_id = ${studioId} and id = ${id}`
    : [];
  const [fitting] = rows;
  if (!fitting) throw notFound('fitting');
  return fitting;
}

/**
 * Works the fitting out and keeps inputs and answer together. Saving the same id again
 * returns the fitting that is already there. `createdAt` is for records brought in from elsewhere.
 */
export async function saveFitting(sql: Queryable, studioId: string, draft: FittingDraft, createdAt = new Date()): Promise<Fitting> {
  const { question, ...rest } = draft;
  const fitting = { ...rest, request: completeRequest(question), answer: answerFor(draft), createdAt: createdAt.toISOString() };
  try {
    await keepFitting(sql, studioId, fitting);
  } catch (error) {
    const owner = brokenConstraint(error)?.match(/^fittings_(client|shirt|jacket|tie)_id_fkey$/)?.[1];
    if (owner) throw invalid([{ path: `${owner}Id`, message: `This ${owner} is no longer in the studio’s records.` }]);
    throw error;
  }
  return findFitting(sql, studioId, draft.id);
}

/** Writes a fitting as it is; leaves one of the same id as it is. */
export async function keepFitting(sql: Queryable, studioId: string, fitting: Fitting): Promise<void> {
  const { cloth, request, answer, ...rest } = fitting;
  await sql`
    insert into fittings ${sql({
      ...rest,
      studioId,
      cloth: sql.json(asJson(cloth)),
      request: sql.json(asJson(request)),
      answer: sql.json(asJson(answer)),
    })} on conflict (id) do nothing`;
}

/** Every fitting, oldest first. */
export async function everyFitting(sql: Queryable, studioId: string): Promise<Fitting[]> {
  const rows = await sql<Fitting[]>`select ${fittingColumns(sql)} from fittings where studio_id = ${studioId} order by created_at, id`;
  return [...rows];
}

/** Those of the ids under which a fitting is kept. */
export async function fittingIds(sql: Queryable, studioId: string, ids: readonly string[]): Promise<Set<string>> {
  const rows = await sql<{ id: string }[]>`
    select id from fittings where studio_id = ${studioId} and id = any(${ids.filter(isUuid)}::uuid[])`;
  return new Set(rows.map(({ id }) => id));
}

function fittingColumns(sql: Queryable) {
  return sql`id, client_id, shirt_id, jacket_id, tie_id, client_name, shirt_label, jacket_label, tie_label,
    cloth, request, knot, answer, note, created_at`;
}

function answerFor({ question, knot }: FittingDraft): KnotPlan {
  const answer = plan({ ...question, taste: { ...question.taste, knots: 'all' } }).knots.find(({ moves }) => moves === knot);
  if (!answer) throw invalid([{ path: 'knot', message: `“${knot}” is not among the knots worked out for these measures.` }]);
  if (!answer.feasible) {
    const why = answer.reasons.find(({ code }) => code === 'narrow-end')?.text ?? 'It cannot be worn with this tie.';
    throw invalid([{ path: 'knot', message: why }]);
  }
  return answer;
}

/** The driver wants mutable JSON types; what is stored is plain data either way. */
function asJson(value: object): Record<string, never> {
  return JSON.parse(JSON.stringify(value)) as Record<string, never>;
}
