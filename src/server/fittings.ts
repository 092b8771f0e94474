import type { Fitting, FittingDraft, FittingSummary } from '../contract/fitting.ts';
import { completeRequest, type KnotPlan, plan } from '../core/index.ts';
import { brokenConstraint, type Queryable, type Sql } from './database.ts';
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
  const rows = uuid.test(id)
    ? await sql<Fitting[]>`
        select id, client_id, shirt_id, jacket_id, tie_id, client_name, shirt_label, jacket_label, tie_label,
          cloth, request, knot, answer, note, created_at
        from fittings where studio_id = ${studioId} and id = ${id}`
    : [];
  const [fitting] = rows;
  if (!fitting) throw notFound('fitting');
  return fitting;
}

const uuid = /^[0-9a-f]{8}-(?:[0-9a-f]{4}-){3}[0-9a-f]{12}$/i;

/**
 * Works the fitting out and keeps inputs and answer together. Saving the same id again
 * returns the fitting that is already there. `createdAt` is for records brought in from elsewhere.
 */
export async function saveFitting(sql: Sql, studioId: string, draft: FittingDraft, createdAt = new Date()): Promise<Fitting> {
  const { question, ...rest } = draft;
  const request = completeRequest(question);
  const answer = answerFor(draft);
  try {
    await sql`
      insert into fittings ${sql({
        ...rest,
        studioId,
        cloth: sql.json({ ...rest.cloth, tie: [...rest.cloth.tie] }),
        request: sql.json(asJson(request)),
        answer: sql.json(asJson(answer)),
        createdAt,
      })} on conflict (id) do nothing`;
  } catch (error) {
    const owner = brokenConstraint(error)?.match(/^fittings_(client|shirt|jacket|tie)_id_fkey$/)?.[1];
    if (owner) throw invalid([{ path: `${owner}Id`, message: `This ${owner} is no longer in the studio’s records.` }]);
    throw error;
  }
  return findFitting(sql, studioId, draft.id);
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
