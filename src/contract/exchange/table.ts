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
  const text = file.replace(/^\uFEFF/, '');
  const marks = marksOf(text, known);
  const broken: BrokenLine[] = [];
  let rows: TableRow[] = [];
  let rest: Stretch | undefined = { text, line: 1 };
  while (rest) {
    const { whole, after, gaveUp }: Read = readUntilBroken(rest, marks, rows[0]?.cells.length);
    rows = [...rows, ...whole];
    if (gaveUp) broken.push(gaveUp);
    rest = after;
  }
  const [heading, ...body] = rows;
  return { heading: heading?.cells, rows: body, broken };
}

interface Stretch {
  readonly text: string;
  readonly line: number;
}

interface Read {
  readonly whole: readonly TableRow[];
  /** The line that could not be read, and what comes after it. */
  readonly gaveUp?: BrokenLine;
  readonly after?: Stretch;
}

/** Reads rows up to the first that can't be read; `width` is how many cells the heading has. */
function readUntilBroken({ text, line: first }: Stretch, marks: Marks, width: number | undefined): Read {
  const whole: TableRow[] = [];
  let line = first;
  let from = 0;
  let gaveUp: BrokenLine | undefined;
  let cells = width;
  Papa.parse<string[]>(text, {
    ...marks,
    step: ({ data, errors, meta }, parser) => {
      const isBlank = data.every((cell) => cell.trim() === '');
      cells ??= isBlank ? undefined : data.length;
      // A row that runs over lines and comes out with another number of cells has taken in what was not its own.
      const ranOn = cells !== undefined && data.length !== cells && data.some((cell) => cell.includes('\n'));
      if (errors.length > 0 || ranOn) {
        gaveUp = { line, text: (text.slice(from).split(/\r\n|\n|\r/, 1)[0] ?? '').trimEnd() };
        parser.abort();
        return;
      }
      if (!isBlank) whole.push({ line, cells: data });
      line += text.slice(from, meta.cursor).split('\n').length - 1;
      from = meta.cursor;
    },
  });
  if (!gaveUp) return { whole };
  const end = text.indexOf('\n', from);
  return { whole, gaveUp, ...(end < 0 ? {} : { after: { text: text.slice(end + 1), line: line + 1 } }) };
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
