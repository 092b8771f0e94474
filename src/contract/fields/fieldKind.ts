import type Joi from 'joi';
import type { Column } from '../exchange/column.ts';
import type { Say } from '../lengths.ts';

/** How values are told: lengths in the reader's unit, referred records by their titles. */
export interface Told {
  readonly say: Say;
  readonly titleOf: (id: string) => string | undefined;
}

/** All that is particular to one kind of field, but for the entry that people fill in. */
export interface FieldKind<F> {
  /** Checks what was entered; faults speak in the reader's unit. */
  readonly check: (field: F, say: Say) => Joi.Schema;
  /** Its columns in a table file. `name` is the column's, `key` the record's. */
  readonly columns: (name: string, key: string, field: F) => Column[];
  /** What stands in it, in words. Nothing entered is told elsewhere. */
  readonly say: (field: F, value: unknown, told: Told) => string;
}

/** Stands where nothing was entered. */
export const nothing = '—';

/** Things in a row, in words. */
export function listed(value: unknown, word: (each: string) => string, between = ', '): string {
  return Array.isArray(value) && value.length > 0 ? value.map((each) => word(String(each))).join(between) : nothing;
}
