import equal from 'fast-deep-equal';
import { type Field, labelOf } from '../fields/field.ts';
import { fieldsOf } from './kinds/index.ts';
import type { Kind, RecordOf, TakenMeasure } from './records.ts';

/** A field that somebody changed since it was read. */
export interface Difference {
  readonly key: string;
  readonly field: Field;
  readonly label: string;
  readonly before: unknown;
  readonly mine: unknown;
  readonly theirs: unknown;
  /** Changed by both, to different values: one of them has to be chosen. */
  readonly clash: boolean;
}

type Values = Readonly<Record<string, unknown>>;

/** What two people made of the same record, field by field, leaving out what is the same. */
export function differences(kind: Kind, before: Values, mine: Values, theirs: Values): Difference[] {
  return [...fieldsOf(kind), archivedField].flatMap(([key, field]) => {
    const [a, b, c] = [before[key], mine[key], theirs[key]];
    if (equal(a, b) && equal(a, c)) return [];
    return [{ key, field, label: labelOf(field), before: a, mine: b, theirs: c, clash: !equal(a, b) && !equal(a, c) && !equal(b, c) }];
  });
}

/** What a change makes of a record, field by field; nothing where it says the same. */
export function changes<K extends Kind>(kind: K, before: RecordOf[K], after: RecordOf[K]): Difference[] {
  const was = inOrder(before);
  return differences(kind, was, inOrder(after), was);
}

/** Measures in one order, so that only what they say is compared. */
function inOrder(record: object): Values {
  if (!('measures' in record) || !Array.isArray(record.measures)) return record as Values;
  const measures = (record.measures as readonly TakenMeasure[]).map(({ measure, mm, how, takenOn }) => ({ measure, mm, how, takenOn }));
  return { ...record, measures: measures.toSorted((a, b) => `${a.takenOn} ${a.measure}`.localeCompare(`${b.takenOn} ${b.measure}`)) };
}

const archivedField = ['archived', { kind: 'flag', label: 'Archived' }] as const satisfies readonly [string, Field];

/**
 * Both changes together: theirs, with mine on top wherever I changed something; where both
 * changed one thing, whichever `choose` says. The version is theirs, so that it can be saved.
 */
export function merged<T extends Values>(kind: Kind, before: Values, mine: T, theirs: T, choose: (key: string) => 'mine' | 'theirs'): T {
  const kept = differences(kind, before, mine, theirs)
    .filter(({ key, clash }) => (clash ? choose(key) === 'mine' : !equal(before[key], mine[key])))
    .map(({ key }) => [key, mine[key]]);
  return { ...theirs, ...Object.fromEntries(kept) };
}
