import Papa from 'papaparse';
import type { Kind } from '../records/records.ts';
import type { TitleOf, Values } from './column.ts';
import { columnsOf } from './columns.ts';

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
  /** What is wrong with the file as a whole. */
  readonly faults: readonly string[];
  /** What was passed over. */
  readonly notes: readonly string[];
}

/** Reads a table with any of the columns {@link writeCsv} writes, in any order; comma, semicolon or tab between. */
export function readCsv(kind: Kind, text: string): ReadCsv {
  const columns = columnsOf(kind);
  const { rows, faults } = split(
    text.replace(/^\uFEFF/, ''),
    columns.map(({ name }) => name),
  );
  const [heading, ...body] = rows;
  if (!heading) return { rows: [], faults: ['The file is empty.'], notes: [] };
  const names = heading.cells.map((name) => name.trim().toLowerCase());
  const known = names.map((name) => columns.find((column) => column.name === name));
  if (!known.some(Boolean)) {
    return { rows: [], faults: [`The first line names none of these columns: ${columns.map(({ name }) => name).join(', ')}.`], notes: [] };
  }
  const twice = names.filter((name, i) => name !== '' && names.indexOf(name) !== i);
  const unknown = names.filter((name, i) => name !== '' && !known[i]);
  // The columns' own order counts, not the file's: a name is looked at after its identifier.
  const order = columns.flatMap((column) => {
    const at = known.indexOf(column);
    return at < 0 ? [] : [{ column, at }];
  });
  return {
    rows: body.map(({ line, cells }) => {
      const values: Record<string, unknown> = {};
      for (const { column, at } of order) column.read(cells[at] ?? '', values);
      return { line, values };
    }),
    faults: [...faults, ...twice.map((name) => `The column “${name}” is there twice.`)],
    notes: unknown.map((name) => `The column “${name}” is not known and was skipped.`),
  };
}

interface Row {
  readonly line: number;
  readonly cells: readonly string[];
}

/** What stands between cells and between lines, told from the heading: what a cell holds may look like either. */
function marksOf(text: string, columns: readonly string[]): { delimiter: string; newline: '\r\n' | '\n' | '\r' } {
  const [heading = ''] = text.split(/\r\n|\n|\r/);
  const known = (delimiter: string) =>
    heading.split(delimiter).filter((name) => columns.includes(name.trim().replace(/^"|"$/g, '').toLowerCase())).length;
  const delimiter = [',', ';', '\t'].toSorted((a, b) => known(b) - known(a))[0] ?? ',';
  const rest = text.slice(heading.length);
  return { delimiter, newline: rest.startsWith('\r\n') ? '\r\n' : rest.startsWith('\r') ? '\r' : '\n' };
}

function split(text: string, columns: readonly string[]): { rows: Row[]; faults: string[] } {
  const rows: Row[] = [];
  const faults: string[] = [];
  let line = 1;
  let from = 0;
  Papa.parse<string[]>(text, {
    ...marksOf(text, columns),
    step: ({ data, errors, meta }) => {
      const isBlank = data.every((cell) => cell.trim() === '');
      if (!isBlank) rows.push({ line, cells: data });
      if (errors.length > 0) faults.push(`Line ${line}: a quotation mark is not closed, or is in the wrong place.`);
      line += text.slice(from, meta.cursor).split('\n').length - 1;
      from = meta.cursor;
    },
  });
  return { rows, faults };
}
