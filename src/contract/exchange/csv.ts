import Papa from 'papaparse';
import type { Kind } from '../records/records.ts';
import type { TitleOf, Values } from './column.ts';
import { columnsOf } from './columns.ts';
import { type BrokenLine, inOneGo, tableSteps } from './table.ts';

/** A table of one kind of record, as RFC 4180 has it, UTF-8. */
export function writeCsv(kind: Kind, records: readonly Values[], titleOf: TitleOf): string {
  const columns = columnsOf(kind);
  const data = records.map((record) => columns.map(({ write }) => write(record, titleOf)));
  return `${Papa.unparse({ fields: columns.map(({ name }) => name), data }, { newline: '\r\n' })}\r\n`;
}

export interface CsvRow {
  /** Where the row begins in the file, the heading being line 1. */
  readonly line: number;
  readonly values: Readonly<Record<string, unknown>>;
}

export interface ReadCsv {
  readonly rows: readonly CsvRow[];
  /** Lines that could not be read; the others could. */
  readonly broken: readonly BrokenLine[];
  /** What is wrong with the file as a whole. */
  readonly faults: readonly string[];
  /** What was passed over. */
  readonly notes: readonly string[];
}

/** Reads a table with any of the columns {@link writeCsv} writes, in any order; comma, semicolon or tab between. */
export function readCsv(kind: Kind, text: string): ReadCsv {
  return inOneGo(csvSteps(kind, text));
}

const rowsAStep = 500;

/** The same, in steps of milliseconds each. */
export function* csvSteps(kind: Kind, text: string): Generator<undefined, ReadCsv> {
  const columns = columnsOf(kind);
  const names = columns.map(({ name }) => name);
  const nothing = { rows: [], broken: [], notes: [] };
  const { heading, rows, broken } = yield* tableSteps(text, names);
  if (!heading) return { ...nothing, faults: ['The file is empty.'] };
  const named = heading.map((name) => name.trim().toLowerCase());
  const known = named.map((name) => columns.find((column) => column.name === name));
  if (!known.some(Boolean)) return { ...nothing, faults: [`The first line names none of these columns: ${names.join(', ')}.`] };
  const twice = named.filter((name, i) => name !== '' && named.indexOf(name) !== i);
  const unknown = named.filter((name, i) => name !== '' && !known[i]);
  // The columns' own order counts, not the file's: a name is looked at after its identifier.
  const order = columns.flatMap((column) => {
    const at = known.indexOf(column);
    return at < 0 ? [] : [{ column, at }];
  });
  const read: CsvRow[] = [];
  for (const { line, cells } of rows) {
    const values: Record<string, unknown> = {};
    // What a short row has no cell for was not said of it.
    for (const { column, at } of order) if (at < cells.length) column.read(cells[at] ?? '', values);
    read.push({ line, values });
    if (read.length % rowsAStep === 0) yield;
  }
  const long = rows.filter(({ cells }) => cells.slice(heading.length).some((cell) => cell.trim() !== ''));
  return {
    rows: read,
    broken,
    faults: [
      ...twice.map((name) => `The column “${name}” is there twice.`),
      ...long
        .slice(0, mostTold)
        .map(
          ({ line }) =>
            `Line ${line} has more cells than the first line has columns: a comma too many, or a cell that needs quotation marks.`,
        ),
    ],
    notes: unknown.slice(0, mostTold).map((name) => `The column “${name}” is not known and was skipped.`),
  };
}

/** More of one kind of fault than anyone reads. */
const mostTold = 20;
