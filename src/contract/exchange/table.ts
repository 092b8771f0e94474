import Papa from 'papaparse';

export interface TableRow {
  /** Where the row begins in the file, the heading being line 1. */
  readonly line: number;
  readonly cells: readonly string[];
}

/** A line that can't be read, as it stands. */
export interface BrokenLine {
  readonly line: number;
  readonly text: string;
}

export interface Table {
  /** `undefined` for an empty file. */
  readonly heading: readonly string[] | undefined;
  readonly rows: readonly TableRow[];
  readonly broken: readonly BrokenLine[];
}

/** What is told of a line that can't be read. */
export const brokenInWords = 'A quotation mark is not closed, or is in the wrong place.';

/**
 * Reads a table as RFC 4180 has it, comma, semicolon or tab between. A quotation mark that is not closed would take in
 * everything to the next one: only the line on which it stands is given up, and reading goes on below it. `known` are
 * names of columns that may be in the heading; they tell what stands between cells.
 */
export function readTable(file: string, known: readonly string[]): Table {
  return inOneGo(tableSteps(file, known));
}

/** Goes through work that could be done in steps without a pause. */
export function inOneGo<T>(work: Iterator<unknown, T>): T {
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
}

/** As much as is read in one go, characters; no row is longer. */
const windowChars = 16 * 1024;

/** The same, in steps of milliseconds each, so that whoever reads can do something else between them. */
export function* tableSteps(file: string, known: readonly string[]): Generator<undefined, Table> {
  const text = file.replace(/^\uFEFF/, '');
  const marks = marksOf(text, known);
  const broken: BrokenLine[] = [];
  const rows: TableRow[] = [];
  let at = 0;
  let line = 1;
  while (at < text.length) {
    const { whole, read, lines, gaveUp } = readWindow(text, at, line, marks, rows[0]?.cells.length);
    for (const row of whole) rows.push(row);
    if (gaveUp) broken.push(gaveUp);
    at += read;
    line += lines;
    yield;
  }
  const [heading, ...body] = rows;
  return { heading: heading?.cells, rows: body, broken };
}

interface ReadWindow {
  readonly whole: readonly TableRow[];
  /** How far it was read, characters and lines. */
  readonly read: number;
  readonly lines: number;
  /** The line that could not be read, where there was one; reading goes on below it. */
  readonly gaveUp?: BrokenLine;
}

/**
 * Reads the rows that stand whole within the next window, up to the first that can't be read; `width` is how many cells
 * the heading has. A row that reaches the window’s end is read with the next, unless it fills the whole of this one.
 */
function readWindow(text: string, at: number, first: number, marks: Marks, width: number | undefined): ReadWindow {
  const part = text.slice(at, at + windowChars);
  const isLast = at + windowChars >= text.length;
  const whole: TableRow[] = [];
  let line = first;
  let from = 0;
  let isBroken = false;
  let cells = width;
  Papa.parse<string[]>(part, {
    ...marks,
    step: ({ data, errors, meta }, parser) => {
      if (!isLast && meta.cursor >= part.length) {
        isBroken = from === 0;
        parser.abort();
        return;
      }
      const isBlank = data.every((cell) => cell.trim() === '');
      cells ??= isBlank ? undefined : data.length;
      // A row that runs over lines and comes out with another number of cells has taken in what was not its own.
      const ranOn = cells !== undefined && data.length !== cells && data.some((cell) => cell.includes('\n'));
      if (errors.length > 0 || ranOn) {
        isBroken = true;
        parser.abort();
        return;
      }
      if (!isBlank) whole.push({ line, cells: data });
      line += part.slice(from, meta.cursor).split('\n').length - 1;
      from = meta.cursor;
    },
  });
  if (!isBroken) return { whole, read: isLast ? part.length : from, lines: line - first };
  const end = text.indexOf('\n', at + from);
  const gaveUp = { line, text: (part.slice(from).split(/\r\n|\n|\r/, 1)[0] ?? '').trimEnd() };
  return { whole, gaveUp, read: (end < 0 ? text.length : end + 1) - at, lines: line + 1 - first };
}

interface Marks {
  readonly delimiter: string;
  readonly newline: '\r\n' | '\n' | '\r';
}

/** What stands between cells and between lines, told from the heading: what a cell holds may look like either. */
function marksOf(text: string, known: readonly string[]): Marks {
  const [heading = ''] = text.split(/\r\n|\n|\r/, 1);
  const parts = (delimiter: string) => heading.split(delimiter);
  const ours = (delimiter: string) =>
    parts(delimiter).filter((name) => known.includes(name.trim().replace(/^"|"$/g, '').toLowerCase())).length;
  const delimiter = [',', ';', '\t'].toSorted((a, b) => ours(b) - ours(a) || parts(b).length - parts(a).length)[0] ?? ',';
  const rest = text.slice(heading.length);
  return { delimiter, newline: rest.startsWith('\r\n') ? '\r\n' : rest.startsWith('\r') ? '\r' : '\n' };
}
