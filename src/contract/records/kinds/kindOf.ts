import type { Fault } from '../../../core/measures/faults.ts';
import type { Field, Fields } from '../../fields/field.ts';
import type { Entered, Kind, RecordOf } from '../records.ts';

/** All that is particular to one kind of record. */
export interface KindOf<K extends Kind> {
  readonly fields: Fields<RecordOf[K]>;
  /** A new one, before anything is entered. */
  readonly fresh: Omit<Entered<K>, 'id'>;
  /** Part of a plan's question that its measures are: they are checked against each other as they are in a plan. */
  readonly part?: 'shirt' | 'jacket' | 'tie';
  /** What no two records of a studio have in common, and how that is told. */
  readonly unique?: { readonly key: string; readonly taken: string };
  /** What can’t be true together of what was entered, as far as it could be read. */
  readonly together?: (entered: Partial<Entered<K>>) => readonly Fault[];
}

export const longestLine = 120;
export const longestNote = 2000;

export const noteField: Field = { kind: 'text', label: 'Note', longest: longestNote, lines: 3 };
export const nameField: Field = { kind: 'text', label: 'Name', longest: longestLine, required: true };
export const ownerField: Field = { kind: 'reference', label: 'Belongs to', to: 'clients', optional: 'the studio' };
export const draftField: Field = { kind: 'flag', label: 'Draft, not measured yet' };

export function line(label: string): Field {
  return { kind: 'text', label, longest: longestLine };
}

export const blades = { right: { label: 'right' }, left: { label: 'left' } } as const;

/** Each colour has its share, where they were judged. */
export function aShareEach({
  colours,
  shares,
}: {
  readonly colours?: readonly string[];
  readonly shares?: readonly number[] | null;
}): Fault[] {
  const fits = !Array.isArray(shares) || !Array.isArray(colours) || shares.length === colours.length;
  return fits ? [] : [{ path: 'shares', message: 'Each colour has one share.' }];
}
