import { text, title } from '../atoms.ts';
import { column, guarded, plain, unguarded } from '../exchange/column.ts';
import type { FieldKind } from './fieldKind.ts';

export interface TextField {
  readonly kind: 'text';
  readonly label: string;
  readonly longest: number;
  readonly required?: true;
  /** Rows it is entered in; one where nothing is said. */
  readonly lines?: number;
}

export const textKind: FieldKind<TextField> = {
  check: ({ label, longest, required }) => (required ? title(label, longest) : text(label, longest).allow('').default('')),
  columns: (name, key, { label }) => [column(name, key, label, (value) => guarded(plain(value)), unguarded)],
  say: (_, value) => String(value),
};
