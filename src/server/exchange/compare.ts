import { dayIn } from '../../contract/days.ts';
import type { ReportLine } from '../../contract/exchange/report.ts';
import { isNamed } from '../../contract/fields/reference.ts';
import { withLatest } from '../../contract/fields/taken.ts';
import { checkKeptFitting } from '../../contract/fitting.ts';
import { checkRecord } from '../../contract/records/checkRecord.ts';
import { fieldsOf, kinds } from '../../contract/records/kinds/index.ts';
import { kindCodes, kindWords, titleOf } from '../../contract/records/kindWords.ts';
import { changes } from '../../contract/records/merge.ts';
import type { ClientRecord, Kind, RecordOf, StudioRecord } from '../../contract/records/records.ts';
import { checkStudio } from '../../contract/records/studio.ts';
import { isUuid, type Queryable } from '../database.ts';
import { fittingIds, keepFitting } from '../fittings.ts';
import { changedMeanwhile } from '../http/problem.ts';
import { everyRecord, everyTitle, findRecord, insertRecord, recordsById, updateRecord } from '../records.ts';
import { changeStudio } from '../studios.ts';
import type { Proposal } from './proposals.ts';

/** A proposal held against what is kept: what is told of it, and what doing it means. */
export interface Compared {
  readonly report: ReportLine;
  readonly apply?: (sql: Queryable) => Promise<void>;
}

type Values = Readonly<Record<string, unknown>>;

/**
 * Holds proposals against what is kept and against each other, a few at a time: what came before is remembered. References
 * are to what is on record or came before in the file.
 */
export function comparing(sql: Queryable, studio: StudioRecord): (proposals: readonly Proposal[]) => Promise<Compared[]> {
  const kept = keptIn(sql, studio.id);
  const seen = new Set<string>();
  return async (proposals) => {
    const known = await kept(proposals);
    return proposals.map((proposal) => compareOne(studio, proposal, known, seen));
  };
}

function compareOne(studio: StudioRecord, proposal: Proposal, kept: KeptOf, seen: Set<string>): Compared {
  switch (proposal.of) {
    case 'studio':
      return compareStudio(studio, proposal);
    case 'fitting':
      return compareFitting(studio, proposal, kept);
    default:
      return proposal.unread === undefined
        ? compareRecord(studio, proposal.of, proposal, kept, seen)
        : { report: { line: proposal.line, what: kindWords[proposal.of].one, title: '', action: 'fault', details: [proposal.unread] } };
  }
}

interface KeptOf {
  readonly records: ReadonlyMap<Kind, ReadonlyMap<string, RecordOf[Kind]>>;
  readonly fittings: ReadonlySet<string>;
  /** Ids of each kind that is referred to that will be there, kept or proposed. */
  readonly ids: ReadonlyMap<Kind, ReadonlySet<string>>;
  /** Of kinds that have something in common with no other: whose each of it is. */
  readonly owners: ReadonlyMap<Kind, Map<unknown, string>>;
  /** Ids by lower-case title. */
  readonly titles: ReadonlyMap<Kind, ReadonlyMap<string, readonly string[]>>;
}

/** What is kept that a file may speak of: the records it proposes to change as it comes to them, the rest once it is asked for. */
function keptIn(sql: Queryable, studioId: string): (proposals: readonly Proposal[]) => Promise<KeptOf> {
  const ids = new Map<Kind, Set<string>>();
  const titles = new Map<Kind, Map<string, string[]>>();
  const owners = new Map<Kind, Map<unknown, string>>();
  const nameAll = async (kind: Kind) => {
    if (ids.has(kind)) return;
    const all = await everyTitle(sql, studioId, kind);
    ids.set(kind, new Set(all.map(({ id }) => id)));
    const byTitle = new Map<string, string[]>();
    for (const { id, title } of all) {
      const same = byTitle.get(title.toLowerCase());
      if (same) same.push(id);
      else byTitle.set(title.toLowerCase(), [id]);
    }
    titles.set(kind, byTitle);
  };
  return async (proposals) => {
    const records = new Map<Kind, ReadonlyMap<string, RecordOf[Kind]>>();
    for (const kind of kindCodes.filter((code) => proposals.some(({ of }) => of === code))) {
      const proposed = proposals.filter(({ of }) => of === kind).map(({ values }) => String(values['id'] ?? '').toLowerCase());
      records.set(kind, await recordsById<Kind>(sql, studioId, kind, proposed));
      for (const [, field] of fieldsOf(kind)) if (field.kind === 'reference') await nameAll(field.to);
      if (referredTo.has(kind)) await nameAll(kind);
      for (const id of proposed.filter(isUuid)) ids.get(kind)?.add(id);
      const { unique } = kinds[kind];
      if (unique && !owners.has(kind)) {
        const every = (await everyRecord(sql, studioId, kind)) as unknown as readonly (Values & { readonly id: string })[];
        owners.set(kind, new Map(every.map((record) => [record[unique.key], record.id])));
      }
    }
    const wanted = proposals.filter(({ of }) => of === 'fitting').map(({ values }) => String(values['id'] ?? ''));
    if (wanted.length > 0) for (const { kind } of references) await nameAll(kind);
    return { records, ids, titles, owners, fittings: await fittingIds(sql, studioId, wanted) };
  };
}

function compareStudio(studio: StudioRecord, { line, values }: Proposal): Compared {
  const { value, faults } = checkStudio({ timeZone: studio.timeZone, ...values, id: studio.id });
  const about = { line, what: 'studio', title: studio.name };
  if (faults) return { report: { ...about, action: 'fault', details: faults.map(({ message }) => message) } };
  const told = { name: 'Name', units: 'Units', timeZone: 'Time zone' } as const;
  const keys = Object.keys(told) as (keyof typeof told)[];
  const details = keys.filter((key) => value[key] !== studio[key]).map((key) => told[key]);
  if (details.length === 0) return { report: { ...about, action: 'same', details } };
  return { report: { ...about, action: 'change', details }, apply: (sql) => changeStudio(sql, value) };
}

/** What a fitting refers to. */
const references = [
  { key: 'clientId', kind: 'clients' },
  { key: 'shirtId', kind: 'shirts' },
  { key: 'jacketId', kind: 'jackets' },
  { key: 'tieId', kind: 'ties' },
  { key: 'personId', kind: 'people' },
] as const;

/** Kinds that others, or fittings, refer to. */
const referredTo: ReadonlySet<Kind> = new Set([
  ...references.map(({ kind }) => kind),
  ...kindCodes.flatMap((kind) => fieldsOf(kind).flatMap(([, field]) => (field.kind === 'reference' ? [field.to] : []))),
]);

function compareFitting(studio: StudioRecord, { line, values }: Proposal, kept: KeptOf): Compared {
  const { value, faults } = checkKeptFitting(values);
  const about = { line, what: 'fitting', title: typeof values['clientName'] === 'string' ? values['clientName'] : '' };
  if (faults) return { report: { ...about, action: 'fault', details: faults.map(({ message }) => message) } };
  const missing = references.filter(({ key, kind }) => {
    const id = value[key];
    return id !== null && !kept.ids.get(kind)?.has(id);
  });
  if (missing.length > 0) {
    return {
      report: {
        ...about,
        action: 'fault',
        details: missing.map(({ kind }) => `Its ${kindWords[kind].one} is neither on record nor in the file.`),
      },
    };
  }
  if (kept.fittings.has(value.id)) return { report: { ...about, action: 'same', details: [] } };
  return { report: { ...about, action: 'add', details: [] }, apply: (sql) => keepFitting(sql, studio.id, value) };
}

function compareRecord<K extends Kind>(
  studio: StudioRecord,
  kind: K,
  { line, values }: Proposal,
  kept: KeptOf,
  seen: Set<string>,
): Compared {
  const { one } = kindWords[kind];
  const { fresh } = kinds[kind];
  const given = typeof values['id'] === 'string' && values['id'] !== '' ? values['id'] : undefined;
  const id = given?.toLowerCase() ?? crypto.randomUUID();
  const before = kept.records.get(kind)?.get(id) as RecordOf[K] | undefined;
  const { resolved, faults: unresolved } = resolve(kind, values, kept);
  const whole: Values = { ...fresh, ...before, ...withMeasures(studio, kind, before, resolved), id, version: before?.version ?? 0 };
  const { value, faults } = checkRecord(kind, whole, studio.units);
  const twice = seen.has(id) ? ['This identifier is in the file twice.'] : [];
  seen.add(id);
  const about = { line, what: one, title: titleOf(whole) };
  const wrong = [...twice, ...takenBy(kind, id, value, kept), ...unresolved, ...(faults ?? []).map(({ message }) => message)];
  if (wrong.length > 0 || !value) return { report: { ...about, action: 'fault', details: [...new Set(wrong)] } };
  if (!before) return { report: { ...about, action: 'add', details: [] }, apply: (sql) => insertRecord(sql, studio.id, kind, value) };
  const changed = changes(kind, before, value).map(({ label }) => label);
  if (changed.length === 0) return { report: { ...about, action: 'same', details: [] } };
  return {
    report: { ...about, action: 'change', details: changed },
    apply: async (sql) => {
      if (!(await updateRecord(sql, studio.id, kind, value))) throw changedMeanwhile(one, await findRecord(sql, studio.id, kind, id));
    },
  };
}

/** What another record, kept or in the file, has already. */
function takenBy(kind: Kind, id: string, value: object | undefined, { owners }: KeptOf): string[] {
  const { unique } = kinds[kind];
  const of = owners.get(kind);
  if (!unique || !of || !value) return [];
  const own = (value as Values)[unique.key];
  const owner = of.get(own);
  of.set(own, owner ?? id);
  return owner === undefined || owner === id ? [] : [unique.taken];
}

/** Turns names of other records into their ids, and holds ids against what is there. */
function resolve(kind: Kind, values: Values, { ids, titles }: KeptOf): { resolved: Values; faults: string[] } {
  const resolved: Record<string, unknown> = { ...values };
  const faults: string[] = [];
  for (const [key, field] of fieldsOf(kind)) {
    const value = values[key];
    if (field.kind !== 'reference' || value === null || value === undefined) continue;
    const { one, many } = kindWords[field.to];
    if (isNamed(value)) {
      const found = titles.get(field.to)?.get(value.named.toLowerCase()) ?? [];
      resolved[key] = found[0] ?? null;
      if (found.length === 0) faults.push(`${field.label}: no ${one} is called “${value.named}”.`);
      if (found.length > 1) faults.push(`${field.label}: ${found.length} ${many} are called “${value.named}”; enter the identifier.`);
    } else if (typeof value === 'string' && isUuid(value) && !ids.get(field.to)?.has(value.toLowerCase())) {
      faults.push(`${field.label}: this ${one} is neither on record nor in the file.`);
    }
  }
  return { resolved, faults };
}

/** A table tells the latest measures only; the earlier ones stay as they were kept. */
function withMeasures({ timeZone }: StudioRecord, kind: Kind, before: RecordOf[Kind] | undefined, values: Values): Values {
  if (kind !== 'clients' || !('latest' in values)) return values;
  const { latest, ...rest } = values;
  const history = (before as ClientRecord | undefined)?.measures ?? [];
  return { ...rest, measures: withLatest(history, latest, dayIn(timeZone)) };
}
