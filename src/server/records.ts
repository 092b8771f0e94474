import type { ListWanted } from '../contract/answerKeys.ts';
import { fieldsOf, kinds } from '../contract/records/kinds/index.ts';
import { kindWords } from '../contract/records/kindWords.ts';
import { changes } from '../contract/records/merge.ts';
import { type ClientRecord, type Kind, type Page, pageSize, type RecordOf, type TakenMeasure } from '../contract/records/records.ts';
import { careOrder, isReadyOn } from './care.ts';
import { brokenConstraint, inTransaction, isUuid, type Queryable } from './database.ts';
import { foundBy, portionOf } from './found.ts';
import { changedMeanwhile, invalid, notFound, taken } from './http/problem.ts';

/** What of a list is wanted; `find` are words that must all be found. */
export interface Wanted extends ListWanted {
  /** As many as a page holds unless said otherwise. */
  readonly most?: number;
}

/** Records of one kind by name, a page at a time. */
export async function listRecords<K extends Kind>(sql: Queryable, studioId: string, kind: K, wanted: Wanted): Promise<Page<RecordOf[K]>> {
  const matching = where(sql, studioId, kind, wanted);
  const order = orderBy(sql, studioId, kind, wanted);
  const [rows, total] = await Promise.all([
    // The first by their names only, as an index has them; the rest is read for one page of them.
    sql<RecordOf[K][]>`
      select ${columns(sql, kind)}
      from (
        select id as found_id from ${table(sql, kind)} as record where ${matching}
        order by ${order} ${portionOf(sql, wanted.most ?? pageSize, wanted.from ?? 0)}
      ) as found join ${table(sql, kind)} as record on record.studio_id = ${studioId} and record.id = found_id
      order by ${order}`,
    countRecords(sql, kind, matching),
  ]);
  return { rows: rows.map((record) => record as RecordOf[K]), total };
}

/** What a list can be ordered by: what stands in one column, and says more or less, or one of a few. */
const ordering: ReadonlySet<string> = new Set(['length', 'choice', 'text', 'flag', 'day']);

function orderBy(sql: Queryable, studioId: string, kind: Kind, { by, down = false, on = '' }: Wanted) {
  const byName = sql`lower(${sql(nameColumn(kind))}), id`;
  if (by === undefined) return byName;
  const way = down ? sql`desc` : sql`asc`;
  if (kind === 'ties' && isCareOrder(by)) return sql`${careOrder[by](sql, studioId, on)} ${way} nulls last, ${byName}`;
  const field = fieldsOf(kind).find(([key]) => key === by)?.[1];
  if (!field || !ordering.has(field.kind)) throw invalid([{ path: 'by', message: `${kindWords[kind].many} can’t be ordered by “${by}”.` }]);
  return sql`${sql(by)} ${way} nulls last, ${byName}`;
}

function isCareOrder(by: string): by is keyof typeof careOrder {
  return Object.hasOwn(careOrder, by);
}

async function countRecords(sql: Queryable, kind: Kind, matching: ReturnType<typeof where>): Promise<number> {
  const [count] = await sql<{ total: number }[]>`select count(*)::int as total from ${table(sql, kind)} as record where ${matching}`;
  return count?.total ?? 0;
}

/** One record, archived or not. Refuses an id that is not there. */
export async function findRecord<K extends Kind>(sql: Queryable, studioId: string, kind: K, id: string): Promise<RecordOf[K]> {
  const found = await recordsById(sql, studioId, kind, [id]);
  const record = found.get(id.toLowerCase());
  if (!record) throw notFound(kindWords[kind].one);
  return record;
}

/** Those of the ids that are kept, by id. */
export async function recordsById<K extends Kind>(
  sql: Queryable,
  studioId: string,
  kind: K,
  ids: readonly string[],
): Promise<Map<string, RecordOf[K]>> {
  const rows = await sql<RecordOf[K][]>`
    select ${columns(sql, kind)} from ${table(sql, kind)} as record
    where studio_id = ${studioId} and id = any(${ids.filter(isUuid)}::uuid[])`;
  return new Map([...rows].map((record) => [record.id, record as RecordOf[K]]));
}

/** Every record of a kind, archived or not, by name. */
export async function everyRecord<K extends Kind>(sql: Queryable, studioId: string, kind: K): Promise<readonly RecordOf[K][]> {
  const every: RecordOf[K][] = [];
  for await (const portion of recordPortions(sql, studioId, kind)) every.push(...portion);
  return every;
}

/** The same, some at a time. */
export async function* recordPortions<K extends Kind>(sql: Queryable, studioId: string, kind: K): AsyncGenerator<readonly RecordOf[K][]> {
  const name = sql`lower(${sql(nameColumn(kind))})`;
  let last: { readonly called: string; readonly id: string } | undefined;
  while (true) {
    const rows = await sql<(RecordOf[K] & { called: string })[]>`
      select ${columns(sql, kind)}, ${name} as called from ${table(sql, kind)} as record
      where studio_id = ${studioId} ${last ? sql`and (${name}, id) > (${last.called}, ${last.id}::uuid)` : sql``}
      order by ${name}, id limit ${portionSize}`;
    yield rows.map(({ called: _, ...record }) => record as unknown as RecordOf[K]);
    if (rows.length < portionSize) return;
    const end = rows.at(-1);
    last = end && { called: end.called, id: end.id };
  }
}

const portionSize = 1000;

/** Ids and titles of every record of a kind. */
export async function everyTitle(sql: Queryable, studioId: string, kind: Kind): Promise<readonly { id: string; title: string }[]> {
  return sql<{ id: string; title: string }[]>`
    select id, ${sql(nameColumn(kind))} as title from ${table(sql, kind)} where studio_id = ${studioId}`;
}

/** Adds a record; the same sent again is the record that is already there. Refuses another under an id that is taken. */
export async function addRecord<K extends Kind>(sql: Queryable, studioId: string, kind: K, record: RecordOf[K]): Promise<RecordOf[K]> {
  await referring(kind, () => inTransaction(sql, (transaction) => insertRecord(transaction, studioId, kind, record)));
  const there = await findRecord(sql, studioId, kind, record.id);
  // What was changed since it was added may have been the same then.
  if (there.version <= firstVersion && changes(kind, there, record).length > 0) throw taken(kindWords[kind].one);
  return there;
}

const firstVersion = 1;

/** Writes a new record inside a transaction; leaves one of the same id as it is. */
export async function insertRecord<K extends Kind>(sql: Queryable, studioId: string, kind: K, record: RecordOf[K]): Promise<void> {
  const row = { id: record.id, studioId, archived: record.archived, ...stored(sql, kind, record) };
  const added = await sql`insert into ${table(sql, kind)} ${sql(row)} on conflict (studio_id, id) do nothing returning id`;
  if (added.length > 0 && kind === 'clients') await keepMeasures(sql, studioId, record as unknown as ClientRecord);
}

/** Changes a record from the version that was read. Refuses, with what is kept now, when another change came between. */
export async function changeRecord<K extends Kind>(sql: Queryable, studioId: string, kind: K, record: RecordOf[K]): Promise<RecordOf[K]> {
  const changed = await referring(kind, () => inTransaction(sql, (transaction) => updateRecord(transaction, studioId, kind, record)));
  const now = await findRecord(sql, studioId, kind, record.id);
  // Sent again because the answer was lost, it is there already.
  const isMade = now.version === record.version + 1 && changes(kind, now, record).length === 0;
  if (!changed && !isMade) throw changedMeanwhile(kindWords[kind].one, now);
  return now;
}

/** Writes a change inside a transaction; answers whether the version was still the one that was read. */
export async function updateRecord<K extends Kind>(sql: Queryable, studioId: string, kind: K, record: RecordOf[K]): Promise<boolean> {
  const row = { archived: record.archived, ...stored(sql, kind, record) };
  const rows = await sql`
    update ${table(sql, kind)} set ${sql(row)}, version = version + 1
    where studio_id = ${studioId} and id = ${record.id} and version = ${record.version} returning id`;
  if (rows.length > 0 && kind === 'clients') await keepMeasures(sql, studioId, record as unknown as ClientRecord);
  return rows.length > 0;
}

/** Each kind has a table of its name. */
function table(sql: Queryable, kind: Kind) {
  return sql(kind as string);
}

function nameColumn(kind: Kind): string {
  return kind === 'clients' || kind === 'people' ? 'name' : 'label';
}

function columns(sql: Queryable, kind: Kind) {
  const own = fieldsOf(kind)
    .filter(([, field]) => field.kind !== 'taken')
    .map(([key]) => key);
  const plain = sql(['id', 'version', 'archived', ...own]);
  if (kind !== 'clients') return sql`${plain}`;
  return sql`${plain}, (
    select coalesce(json_agg(json_build_object('measure', measure, 'mm', mm, 'how', how, 'takenOn', taken_on)
      order by taken_on desc, measure), '[]')
    from client_measures where studio_id = record.studio_id and client_id = record.id) as measures`;
}

function where(
  sql: Queryable,
  studioId: string,
  kind: Kind,
  { find = '', clientId, tieId, wearableBy, archived = false, ready, on = '' }: Wanted,
) {
  const has = (name: string) => fieldsOf(kind).some(([key]) => key === name);
  const [hasOwner, hasTie] = [has('clientId'), has('tieId')];
  const own = (id: string) => (isUuid(id) ? id : null);
  return sql`studio_id = ${studioId} and archived = ${archived}
    ${foundBy(sql, sql`search`, find)}
    ${kind === 'ties' && ready ? sql`and ${isReadyOn(sql, studioId, on)}` : sql``}
    ${hasTie && tieId !== undefined ? sql`and tie_id = ${own(tieId)}` : sql``}
    ${hasOwner && clientId === null ? sql`and client_id is null` : sql``}
    ${hasOwner && typeof clientId === 'string' ? sql`and client_id = ${own(clientId)}` : sql``}
    ${hasOwner && wearableBy !== undefined ? sql`and (client_id is null or client_id = ${own(wearableBy)})` : sql``}`;
}

/** The record's fields as the driver takes them. */
function stored(sql: Queryable, kind: Kind, record: object) {
  const values = record as Readonly<Record<string, unknown>>;
  return Object.fromEntries(
    fieldsOf(kind)
      .filter(([, field]) => field.kind !== 'taken')
      .map(([key, field]) => {
        const value = values[key];
        return [key, field.kind === 'profile' ? sql.json(value as Record<string, never>) : Array.isArray(value) ? [...value] : value];
      }),
  ) as Record<string, string>;
}

/** A client's whole history of measures as it was sent: what is missing from it goes, what is new comes. */
async function keepMeasures(sql: Queryable, studioId: string, { id, measures }: ClientRecord): Promise<void> {
  await sql`delete from client_measures where studio_id = ${studioId} and client_id = ${id}`;
  if (measures.length === 0) return;
  await sql`insert into client_measures ${sql(measures.map((taken: TakenMeasure) => ({ ...taken, studioId, clientId: id })))}`;
}

/** Says which record that was referred to is not there, or which is there already. */
async function referring<T>(kind: Kind, write: () => Promise<T>): Promise<T> {
  try {
    return await write();
  } catch (error) {
    const constraint = brokenConstraint(error);
    const { unique } = kinds[kind];
    if (unique && constraint === 'one_name_a_knot') throw invalid([{ path: unique.key, message: unique.taken }]);
    const column = constraint?.startsWith(`${kind}_`) ? constraint.slice(kind.length + 1).replace(/_fkey$/, '') : undefined;
    const key = column?.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase());
    const field = fieldsOf(kind).find(([name]) => name === key)?.[1];
    if (key && field?.kind === 'reference') {
      throw invalid([{ path: key, message: `${field.label}: this ${kindWords[field.to].one} is no longer in the studio’s records.` }]);
    }
    throw error;
  }
}
