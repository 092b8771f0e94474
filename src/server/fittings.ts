import type postgres from 'postgres';
import { sayDay } from '../contract/days.ts';
import type { Fitting, FittingDraft, FittingSummary, FittingsBy, FittingsWanted } from '../contract/fitting.ts';
import { answerVersion, type BroughtUp, broughtUp } from '../contract/keptAnswer.ts';
import { type Page, type PersonRecord, pageSize, type StudioRecord, type UncheckedFitting } from '../contract/records/records.ts';
import { completeRequest, type KnotPlan, plan } from '../core/index.ts';
import { brokenConstraint, isUuid, type Queryable } from './database.ts';
import { foundBy, portionOf } from './found.ts';
import { invalid, notFound, Problem } from './http/problem.ts';
import { tyingHistory } from './tyings.ts';

/**
 * A page of fittings, each with what became of it; the newest first unless asked otherwise. It goes on `after` a fitting where that
 * is still there, so that what is saved meanwhile neither doubles one nor hides one; else `from` a place.
 */
export async function listFittings(
  sql: Queryable,
  studioId: string,
  { find = '', client, tie, only = 'all', by = 'day', down = by === 'day' || by === 'off', from = 0, after }: FittingsWanted = {},
): Promise<Page<FittingSummary>> {
  const off = sql`(tip_off_mm - (figures->>'aimOffMm')::float8)`;
  const which = {
    all: sql``,
    unchecked: sql`and tyings.id is null`,
    outside: sql`and (${off} > (figures->>'belowMm')::float8 or ${off} < -(figures->>'aboveMm')::float8 or tries > 1)`,
    findings: sql`and cardinality(findings) > 0`,
  }[only];
  const order = {
    day: sql`fittings.created_at`,
    client: sql`lower(client_name)`,
    tie: sql`lower(tie_label)`,
    knot: sql`lower(title)`,
    off: sql`abs(${off})`,
  }[by];
  const of = (column: string, id: string | undefined) =>
    id === undefined ? sql`` : sql`and ${sql(`fittings.${column}`)} = ${isUuid(id) ? id : null}`;
  const results = sql`tyings on tyings.studio_id = fittings.studio_id and tyings.id = fittings.id and not tyings.archived`;
  // What became of them is asked for where it counts, and of those that are shown.
  const needsResults = only !== 'all' || by === 'off';
  const looked = sql`fittings ${needsResults ? sql`left join ${results}` : sql``}`;
  const matching = sql`fittings.studio_id = ${studioId} ${of('client_id', client)} ${of('tie_id', tie)}
    ${foundBy(sql, sql`fittings.search`, find)} ${which}`;
  // Said of what is always there, it would keep an index from answering.
  const mayLack = by === 'off' || by === 'knot' ? sql`nulls last` : sql``;
  const way = sql`${down ? sql`desc` : sql`asc`} ${mayLack}`;
  const [last] =
    after !== undefined && isUuid(after)
      ? await sql<{ stands: string | null; at: string }[]>`
          select ${order}::text as stands, fittings.created_at::text as at from ${looked}
          where fittings.studio_id = ${studioId} and fittings.id = ${after}`
      : [];
  const isBeyond = last && beyond(sql, order, by, down, { ...last, id: after ?? '' });
  const [rows, [counted]] = await Promise.all([
    // All that match are gone through by what orders them only; the rest is read of those that are shown.
    sql<ShownRow[]>`
      select fittings.id, client_name, shirt_label, jacket_label, tie_label, person_name, cloth, fittings.knot, fittings.note,
        fittings.created_at, title, answer->'start'->'set' as set, request->'client'->>'blade' as blade, answer_version,
        case when answer_version <> ${answerVersion} then request end as request,
        case when answer_version <> ${answerVersion} then answer end as answer,
        case when tyings.id is null then null else json_build_object('tipOffMm', tip_off_mm, 'tries', tries, 'findings', findings,
          'counts', counts, 'figures', figures) end as result
      from (
        select fittings.id as found_id, row_number() over () as place from (
          select fittings.id from ${looked} where ${matching} ${isBeyond ? sql`and ${isBeyond}` : sql``}
          order by ${order} ${way}, fittings.created_at desc, fittings.id
          ${portionOf(sql, pageSize, isBeyond ? 0 : from)}
        ) as fittings
      ) as found
      join fittings on fittings.studio_id = ${studioId} and fittings.id = found_id
      left join ${results}
      order by place`,
    sql<{ total: number }[]>`select count(*)::int as total from ${looked} where ${matching}`,
  ]);
  return { rows: rows.map(summaryOf), total: counted?.total ?? 0 };
}

/** What an order is of, for values that come as text. */
const orderedAs = { day: 'timestamptz', client: 'text', tie: 'text', knot: 'text', off: 'float8' } as const satisfies Record<
  FittingsBy,
  string
>;

/** Whether a fitting comes after another in an order that puts nulls last, then the newer first, then goes by id. */
function beyond(
  sql: Queryable,
  order: postgres.PendingQuery<postgres.Row[]>,
  by: FittingsBy,
  down: boolean,
  { stands, at, id }: { readonly stands: string | null; readonly at: string; readonly id: string },
) {
  const next = sql`(fittings.created_at < ${at}::timestamptz or (fittings.created_at = ${at}::timestamptz and fittings.id > ${id}::uuid))`;
  if (stands === null) return sql`(${order} is null and ${next})`;
  const value = sql`${stands}::${sql.unsafe(orderedAs[by])}`;
  return sql`(${order} ${down ? sql`<` : sql`>`} ${value} or ${order} is null or (${order} = ${value} and ${next}))`;
}

/** What a list shows of a fitting; of its answer, which is long, only what is shown, where it stands as answers do today. */
interface ShownRow extends Omit<FittingSummary, 'createdAt' | 'title' | 'blade' | 'set'> {
  readonly createdAt: Date;
  readonly title: string | null;
  readonly set: unknown;
  readonly blade: string | null;
  readonly answerVersion: number;
  readonly request: unknown;
  readonly answer: unknown;
}

function summaryOf({ title, set, blade, answerVersion: version, request, answer, createdAt, ...row }: ShownRow): FittingSummary {
  const stands = version === answerVersion ? { title, set, blade } : toldBy(() => broughtUp({ version, request, answer }));
  const isWhole = typeof stands.title === 'string' && isSet(stands.set);
  return {
    ...row,
    createdAt: createdAt.toISOString(),
    title: isWhole ? (stands.title as string) : 'Can’t be read',
    blade: isWhole && stands.blade === 'left' ? 'left' : 'right',
    set: isWhole ? (stands.set as FittingSummary['set']) : null,
  };
}

function toldBy(read: () => BroughtUp): { readonly title: unknown; readonly set: unknown; readonly blade: unknown } {
  try {
    const { request, answer } = read();
    return { title: answer.title, set: answer.start.set, blade: request.client.blade };
  } catch {
    return { title: null, set: null, blade: null };
  }
}

function isSet(set: unknown): boolean {
  const { end, dropMm } = (set ?? {}) as { readonly end?: unknown; readonly dropMm?: unknown };
  return (end === 'tail' || end === 'blade') && Number.isFinite(dropMm);
}

/** The latest fitting of a client that nobody has said the outcome of. */
export async function uncheckedFitting(
  sql: Queryable,
  { id: studioId, timeZone }: StudioRecord,
  clientId: string,
): Promise<UncheckedFitting | null> {
  const [row] = await sql<{ id: string; title: string; createdAt: Date }[]>`
    select id, answer->>'title' as title, created_at from fittings
    where studio_id = ${studioId} and client_id = ${clientId}
      and not exists (select 1 from tyings where tyings.studio_id = fittings.studio_id and tyings.id = fittings.id)
    order by created_at desc, id limit 1`;
  return row ? { id: row.id, title: row.title, day: sayDay(row.createdAt.toISOString(), timeZone) } : null;
}

/** One fitting as it was saved. Refuses an id that is not there. */
export async function findFitting(sql: Queryable, studioId: string, id: string): Promise<Fitting> {
  const rows = isUuid(id)
    ? await sql<KeptRow[]>`
        select ${fittingColumns(sql)} from fittings where studio_id = ${studioId} and id = ${id}`
    : [];
  const [row] = rows;
  if (!row) throw notFound('fitting');
  const fitting = readable(row);
  if (!fitting) throw new Problem(422, 'unreadable', 'This fitting is damaged and can’t be read. It can be deleted in the fit book.');
  return fitting;
}

/**
 * Works the fitting out and keeps inputs and answer together, with who was dressing. Saving the same id again
 * returns the fitting that is already there. `createdAt` is for records brought in from elsewhere.
 */
export async function saveFitting(
  sql: Queryable,
  studioId: string,
  draft: FittingDraft,
  person: Pick<PersonRecord, 'id' | 'name'> | null,
  createdAt = new Date(),
): Promise<Fitting> {
  const { question, ...rest } = draft;
  const fitting = {
    ...rest,
    personId: person?.id ?? null,
    personName: person?.name ?? null,
    request: completeRequest(question),
    answer: answerFor(draft),
    answerVersion,
    createdAt: createdAt.toISOString(),
  };
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
  const { cloth, request, answer, attempts, ...rest } = fitting;
  await sql`
    insert into fittings ${sql({
      ...rest,
      studioId,
      cloth: sql.json(asJson(cloth)),
      request: sql.json(asJson(request)),
      answer: sql.json(asJson(answer)),
      attempts: sql.json(asJson(attempts) as never),
    })} on conflict (studio_id, id) do nothing`;
}

/** Deletes a fitting with what became of it; the trace of that is kept. Refuses an id that never was there. */
export async function deleteFitting(sql: Queryable, studioId: string, id: string): Promise<{ readonly deleted: string }> {
  if (!isUuid(id)) throw notFound('fitting');
  await sql`delete from tyings where studio_id = ${studioId} and id = ${id}`;
  const gone = await sql`delete from fittings where studio_id = ${studioId} and id = ${id} returning id`;
  if (gone.length === 0 && (await tyingHistory(sql, studioId, id)).length === 0) throw notFound('fitting');
  return { deleted: id };
}

/** Every fitting that can be read, oldest first, some at a time. */
export async function* fittingPortions(sql: Queryable, studioId: string): AsyncGenerator<readonly Fitting[]> {
  let last: { readonly at: string; readonly id: string } | undefined;
  while (true) {
    // To the microsecond, which the driver’s dates don’t hold.
    const rows = await sql<(KeptRow & { at: string })[]>`
      select ${fittingColumns(sql)}, fittings.created_at::text as at from fittings where studio_id = ${studioId}
        ${last ? sql`and (created_at, id) > (${last.at}::timestamptz, ${last.id}::uuid)` : sql``}
      order by created_at, id limit ${portionSize}`;
    yield rows.flatMap(({ at: _, ...row }) => readable(row) ?? []);
    if (rows.length < portionSize) return;
    last = rows.at(-1);
  }
}

const portionSize = 200;

/** Those of the ids under which a fitting is kept. */
export async function fittingIds(sql: Queryable, studioId: string, ids: readonly string[]): Promise<Set<string>> {
  const rows = await sql<{ id: string }[]>`
    select id from fittings where studio_id = ${studioId} and id = any(${ids.filter(isUuid)}::uuid[])`;
  return new Set(rows.map(({ id }) => id));
}

/** A fitting as the table has it: question and answer in the shape of their day. */
interface KeptRow extends Omit<Fitting, 'request' | 'answer'> {
  readonly request: unknown;
  readonly answer: unknown;
}

/** The door: whatever was kept comes through it in today's shape; nothing where it is damaged. */
function readable({ request, answer, answerVersion: version, ...rest }: KeptRow): Fitting | undefined {
  try {
    return { ...rest, ...broughtUp({ version, request, answer }), answerVersion };
  } catch {
    return undefined;
  }
}

function fittingColumns(sql: Queryable) {
  return sql`fittings.id, fittings.client_id, shirt_id, jacket_id, fittings.tie_id, fittings.person_id, client_name, shirt_label, jacket_label,
    tie_label, person_name, cloth, request, fittings.knot, answer, answer_version, attempts, fittings.note, fittings.created_at`;
}

function answerFor({ question, knot }: FittingDraft): KnotPlan {
  const answer = plan({ ...question, search: { ...question.search, knots: 'all', also: [knot] } }).knots.find(
    ({ moves }) => moves === knot,
  );
  if (!answer) throw invalid([{ path: 'knot', message: `“${knot}” is not among the knots worked out for these measures.` }]);
  if (answer.refusal) throw invalid([{ path: 'knot', message: answer.refusal.text }]);
  return answer;
}

/** The driver wants mutable JSON types; what is stored is plain data either way. */
function asJson(value: object): Record<string, never> {
  return JSON.parse(JSON.stringify(value)) as Record<string, never>;
}
