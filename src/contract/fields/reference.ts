import { identifier } from '../atoms.ts';
import { column, emptyIsNull, guarded, plain, unguarded } from '../exchange/column.ts';
import { kindWords } from '../records/kindWords.ts';
import type { Kind } from '../records/records.ts';
import { worded } from '../worded.ts';
import type { FieldKind } from './fieldKind.ts';

/** Another record of the same studio, by its identifier. */
export interface ReferenceField {
  readonly kind: 'reference';
  readonly label: string;
  readonly to: Kind;
  /** What no record at all is called, where there need not be one. */
  readonly optional?: string;
}

/** A record that is referred to by its name only. */
export function isNamed(value: unknown): value is { readonly named: string } {
  return typeof value === 'object' && value !== null && 'named' in value;
}

export const referenceKind: FieldKind<ReferenceField> = {
  check: ({ label, optional }) => {
    const reference = identifier(label);
    return optional === undefined
      ? worded(reference.required(), { 'string.empty': `${label}: choose one.` })
      : reference.allow(null).default(null);
  },
  // The identifier counts; where it is empty, the name beside it is looked up.
  columns: (name, key, { label, to, optional }) => [
    column(name, key, `${label}: identifier of a ${kindWords[to].one}${optional ? `; empty for ${optional}` : ''}`, plain, (cell) =>
      emptyIsNull(cell.trim().toLowerCase()),
    ),
    {
      name: name.replace(/_id$/, '').concat('_name'),
      label: `${label} by name`,
      holds: `${label}: the name, for people; looked up where the identifier is empty`,
      write: (record, titleOf) => {
        const id = record[key];
        return typeof id === 'string' ? guarded(titleOf(to, id) ?? '') : '';
      },
      read: (cell, into) => {
        const wanted = unguarded(cell).trim();
        if (wanted !== '' && !into[key]) into[key] = { named: wanted };
      },
    },
  ],
  say: (_, value, { titleOf }) => titleOf(String(value)) ?? 'another one',
};
