import type { Field, Fields } from '../../fields/field.ts';
import type { Entered, Kind, RecordOf } from '../records.ts';

/** All that is particular to one kind of record. */
export interface KindOf<K extends Kind> {
  readonly fields: Fields<RecordOf[K]>;
  /** A new one, before anything is entered. */
  readonly fresh: Omit<Entered<K>, 'id'>;
  /** Part of a plan's question that its measures are: they are checked against each other as they are in a plan. */
  readonly part?: 'shirt' | 'jacket' | 'tie';
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
