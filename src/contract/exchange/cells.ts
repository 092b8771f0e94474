import { latest } from '../records/asWorn.ts';
import { type Field, labelOf } from '../records/field.ts';
import { fieldsOf, kinds } from '../records/kinds.ts';
import type { Kind, TakenMeasure } from '../records/records.ts';

/** One column of a table file. */
export interface Column {
  readonly name: string;
  /** What it holds, with its unit, for people. */
  readonly holds: string;
  readonly write: (record: Values, titleOf: TitleOf) => string;
  /** Puts the cell's text into the record that is being read. */
  readonly read: (cell: string, into: Record<string, unknown>) => void;
}

export type Values = Readonly<Record<string, unknown>>;
/** The title of a record that is referred to, where it is known. */
export type TitleOf = (kind: Kind, id: string) => string | undefined;

/** Text a spreadsheet would run as a formula is written after an apostrophe, and so is text that begins with one. */
const risky = /^['=+\-@\t\r]/;

function guarded(text: string): string {
  return risky.test(text) ? `'${text}` : text;
}

function unguarded(cell: string): string {
  return cell.startsWith("'") && risky.test(cell.slice(1)) ? cell.slice(1) : cell;
}

/** The columns of a kind's table, the same for writing and reading. */
export function columnsOf(kind: Kind): Column[] {
  return [
    column('id', 'id', 'identifier; empty for a new one', plain, (cell) => cell.trim().toLowerCase()),
    column('archived', 'archived', 'put away: yes or no', flag, readFlag),
    ...fieldsOf(kind).flatMap(([key, field]) => columnsFor(key, field)),
  ];
}

function column(name: string, key: string, holds: string, write: (value: unknown) => string, read: (cell: string) => unknown): Column {
  return {
    name,
    holds,
    write: (record) => write(record[key]),
    read: (cell, into) => {
      into[key] = read(cell);
    },
  };
}

function columnsFor(key: string, field: Field): Column[] {
  const name = key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
  const label = labelOf(field);
  switch (field.kind) {
    case 'text':
      return [column(name, key, label, (value) => guarded(plain(value)), unguarded)];
    case 'length':
      return [column(name, key, `${label}, mm`, plain, readNumber)];
    case 'buttons':
      return [column(name, key, `${label}, mm, spaces between`, listed, (cell) => words(cell).map(readNumber))];
    case 'choice': {
      const codes = Object.keys(field.choices).join(', ');
      return [column(name, key, `${label}: ${codes}${field.optional ? `; empty for ${field.optional}` : ''}`, plain, emptyIsNull)];
    }
    case 'choices':
      return [column(name, key, `${label}: any of ${Object.keys(field.choices).join(', ')}`, listed, words)];
    case 'flag':
      return [column(name, key, `${label}: yes or no`, flag, readFlag)];
    case 'colour':
      return [column(name, key, `${label}, #rrggbb`, plain, (cell) => emptyIsNull(cell.toLowerCase()))];
    case 'colours':
      return [column(name, key, `${label}, #rrggbb, the ground first, spaces between`, listed, (cell) => words(cell.toLowerCase()))];
    case 'shares':
      return [
        column(`${name}_percent`, key, `${label} of the colours, per cent, making up 100; may be empty`, listed, (cell) =>
          cell.trim() === '' ? null : words(cell).map(readNumber),
        ),
      ];
    case 'reference':
      return referenceColumns(name, key, field);
    case 'knot':
      return [column(name, key, `${label}: its moves in his own view, as Li Ro Li Co T; empty for none`, plain, emptyIsNull)];
    case 'measures':
      return takenColumns();
    case 'profile':
      return [column(name, key, `${label}: place:width in mm, spaces between`, writeProfile, readProfile)];
  }
}

/** The identifier counts; where it is empty, the name beside it is looked up. */
function referenceColumns(name: string, key: string, { label, to, optional }: Extract<Field, { kind: 'reference' }>): Column[] {
  const { one } = kinds[to];
  return [
    column(name, key, `${label}: identifier of a ${one}${optional ? `; empty for ${optional}` : ''}`, plain, (cell) =>
      emptyIsNull(cell.trim().toLowerCase()),
    ),
    {
      name: name.replace(/_id$/, '').concat('_name'),
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
  ];
}

/** A record that is referred to by its name only. */
export function isNamed(value: unknown): value is { readonly named: string } {
  return typeof value === 'object' && value !== null && 'named' in value;
}

const taken = [
  { measure: 'heightMm', name: 'height', label: 'Height' },
  { measure: 'neckMm', name: 'neck', label: 'Collar size' },
  { measure: 'frontDropMm', name: 'front_drop', label: 'Front drop' },
] as const;

/** The latest of each measure; earlier ones stay in the studio's own file. */
function takenColumns(): Column[] {
  return taken.flatMap(({ measure, name, label }) => {
    const of = (record: Values) => latest(record['measures'] as readonly TakenMeasure[], measure);
    const part = (column: string, holds: string, key: 'mm' | 'how' | 'takenOn', read: (cell: string) => unknown): Column => ({
      name: column,
      holds,
      write: (record) => plain(of(record)?.[key]),
      read: (cell, into) => {
        const latestTaken = (into['latest'] ?? {}) as Record<string, Record<string, unknown>>;
        latestTaken[measure] = { ...latestTaken[measure], measure, [key]: read(cell) };
        into['latest'] = latestTaken;
      },
    });
    return [
      part(`${name}_mm`, `${label} as taken last, mm`, 'mm', readNumber),
      part(`${name}_how`, `how it was taken: tape or estimate`, 'how', (cell) => cell.trim()),
      part(`${name}_taken_on`, `when, year-month-day`, 'takenOn', (cell) => cell.trim()),
    ];
  });
}

interface ReadTaking {
  readonly measure: TakenMeasure['measure'];
  readonly mm?: unknown;
  readonly how?: unknown;
  readonly takenOn?: unknown;
}

/**
 * Puts the measures of a row among those that are kept already. `today` stands where no day was
 * given, unless the row only repeats what was taken last.
 */
export function withLatest(history: readonly TakenMeasure[], read: unknown, today: string): unknown[] {
  const rows = Object.values((read ?? {}) as Record<string, ReadTaking>);
  const news = rows
    .filter(({ measure, mm, takenOn }) => mm !== null && mm !== undefined && (takenOn || latest(history, measure)?.mm !== mm))
    .map((row) => ({ ...row, how: row.how || 'tape', takenOn: row.takenOn || today }));
  const replaced = (old: TakenMeasure) => news.some(({ measure, takenOn }) => measure === old.measure && takenOn === old.takenOn);
  return [...news, ...history.filter((old) => !replaced(old))];
}

function plain(value: unknown): string {
  return value === null || value === undefined ? '' : String(value);
}

function listed(value: unknown): string {
  return Array.isArray(value) ? value.join(' ') : '';
}

function flag(value: unknown): string {
  return value === true ? 'yes' : 'no';
}

function words(cell: string): string[] {
  return cell.trim().split(/\s+/).filter(Boolean);
}

function emptyIsNull(cell: string): string | null {
  return cell.trim() === '' ? null : cell.trim();
}

/** A number, or the cell itself where it is none, so that it can be told. */
function readNumber(cell: string): number | string | null {
  const clean = cell.trim();
  if (clean === '') return null;
  return /^-?\d+([.,]\d+)?(e-?\d+)?$/i.test(clean) ? Number(clean.replace(',', '.')) : clean;
}

function readFlag(cell: string): boolean | string {
  const clean = cell.trim().toLowerCase();
  if (['yes', 'true', '1'].includes(clean)) return true;
  return ['no', 'false', '0', ''].includes(clean) ? false : clean;
}

function writeProfile(value: unknown): string {
  return (value as readonly { atMm: number; widthMm: number }[]).map(({ atMm, widthMm }) => `${atMm}:${widthMm}`).join(' ');
}

function readProfile(cell: string): unknown[] {
  return words(cell).map((pair) => {
    const [atMm = '', widthMm = ''] = pair.split(':');
    return { atMm: readNumber(atMm), widthMm: readNumber(widthMm) };
  });
}
