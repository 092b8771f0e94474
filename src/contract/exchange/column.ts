import type { Measure } from '../../core/measures/measures.ts';
import type { Choices } from '../fields/choiceTable.ts';
import type { Kind } from '../records/records.ts';

/** One column of a table file. */
export interface Column {
  readonly name: string;
  /** What it holds, with its unit, for people. */
  readonly holds: string;
  /** What it holds in a word or two, as other programs head it too. */
  readonly label: string;
  /** A length in mm, which other programs may write in another unit. */
  readonly measure?: Measure;
  /** One of a few codes, which other programs may write by their labels. */
  readonly choices?: Choices;
  readonly write: (record: Values, titleOf: TitleOf) => string;
  /** Puts the cell's text into the record that is being read. */
  readonly read: (cell: string, into: Record<string, unknown>) => void;
}

export type Values = Readonly<Record<string, unknown>>;
/** The title of a record that is referred to, where it is known. */
export type TitleOf = (kind: Kind, id: string) => string | undefined;

/** A column of one value. */
export function column(
  name: string,
  key: string,
  holds: string,
  write: (value: unknown) => string,
  read: (cell: string) => unknown,
): Column {
  return {
    name,
    holds,
    label: labelOf(holds),
    write: (record) => write(record[key]),
    read: (cell, into) => {
      into[key] = read(cell);
    },
  };
}

/** What a column holds begins with its label. */
export function labelOf(holds: string): string {
  return holds.split(/[,:;]/)[0] ?? holds;
}

/** Text a spreadsheet would run as a formula is written after an apostrophe, and so is text that begins with one. */
const risky = /^['=+\-@\t\r]/;

export function guarded(text: string): string {
  return risky.test(text) ? `'${text}` : text;
}

export function unguarded(cell: string): string {
  return cell.startsWith("'") && risky.test(cell.slice(1)) ? cell.slice(1) : cell;
}

export function plain(value: unknown): string {
  return value === null || value === undefined ? '' : String(value);
}

export function spaced(value: unknown): string {
  return Array.isArray(value) ? value.join(' ') : '';
}

export function yesOrNo(value: unknown): string {
  return value === true ? 'yes' : 'no';
}

export function words(cell: string): string[] {
  return cell.trim().split(/\s+/).filter(Boolean);
}

export function emptyIsNull(cell: string): string | null {
  return cell.trim() === '' ? null : cell.trim();
}

/** A number, or the cell itself where it is none, so that it can be told. */
export function readNumber(cell: string): number | string | null {
  const clean = cell.trim();
  if (clean === '') return null;
  return /^-?\d+([.,]\d+)?(e-?\d+)?$/i.test(clean) ? Number(clean.replace(',', '.')) : clean;
}

export function readYes(cell: string): boolean | string {
  const clean = cell.trim().toLowerCase();
  if (['yes', 'true', '1'].includes(clean)) return true;
  return ['no', 'false', '0', ''].includes(clean) ? false : clean;
}
