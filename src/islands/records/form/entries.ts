import { checkRecord } from '../../../contract/records/checkRecord.ts';
import { fieldsOf, kinds } from '../../../contract/records/kinds/index.ts';
import type { Kind, RecordOf, TakenMeasure } from '../../../contract/records/records.ts';
import type { Fault } from '../../../core/measures/faults.ts';
import type { LengthUnit } from '../../../core/units/length.ts';

/** A record as it stands in the fields: what is no value yet is kept as it was typed. */
export type Entries = Record<string, unknown> & { id: string; version: number; archived: boolean };

export interface CheckedEntries<K extends Kind> {
  readonly record: RecordOf[K] | undefined;
  /** By the names of the fields. */
  readonly faults: readonly Fault[];
}

/** A new record's fields, with what is known of it beforehand. */
export function freshEntries(kind: Kind, known: Readonly<Record<string, unknown>>): Entries {
  return { ...kinds[kind].fresh, ...known, id: crypto.randomUUID(), version: 0, archived: false };
}

export function entriesOf(record: RecordOf[Kind]): Entries {
  return { ...record };
}

/** Runs the server's own checks on what stands in the fields. */
export function checkEntries<K extends Kind>(kind: K, entries: Entries, units: LengthUnit): CheckedEntries<K> {
  const { input, placeOf } = cleaned(kind, entries);
  const { value, faults } = checkRecord(kind, input, units);
  return { record: value, faults: (faults ?? []).map(({ path, message }) => ({ path: placeOf(path), message })) };
}

/** Spaces around single lines go; a measure that was begun and not entered is not there. */
function cleaned(kind: Kind, entries: Entries): { input: Entries; placeOf: (path: string) => string } {
  const input: Entries = { ...entries };
  for (const [key, field] of fieldsOf(kind)) {
    const value = input[key];
    if (field.kind === 'text' && typeof value === 'string' && !field.lines) input[key] = value.trim();
  }
  if (!Array.isArray(entries['measures'])) return { input, placeOf: (path) => path };
  const all = entries['measures'] as TakenMeasure[];
  const places = all.flatMap(({ mm }, i) => (isEmpty(mm) ? [] : [i]));
  input['measures'] = places.map((i) => all[i]);
  return {
    input,
    placeOf: (path) => path.replace(/^measures\.(\d+)/, (_, at: string) => `measures.${places[Number(at)] ?? at}`),
  };
}

function isEmpty(mm: unknown): boolean {
  return mm === '' || mm === null || mm === undefined;
}
