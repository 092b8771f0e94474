import { columnsOf } from '../../contract/exchange/columns.ts';
import { asOurs, type ColumnUse, guessUses, isOurs } from '../../contract/exchange/mapping.ts';
import { type ExchangeFile, exchangeFiles, type ImportReport } from '../../contract/exchange/report.ts';
import { brokenInWords, readTable, type Table, tableSteps } from '../../contract/exchange/table.ts';
import { kindWords } from '../../contract/records/kindWords.ts';
import type { Kind } from '../../contract/records/records.ts';
import { rememberColumns, rememberedColumns } from '../device/rememberedColumns.ts';

/** A file that was chosen; of a table also its rows, and what its columns are read as. */
export interface ChosenFile {
  readonly file: string;
  readonly as: ExchangeFile;
  /** What it says; a studio’s own file, which may be large, goes as it is. */
  readonly content: string | Blob;
  readonly table?: ChosenTable | undefined;
}

export interface ChosenTable extends Table {
  readonly kind: Kind;
  readonly heading: readonly string[];
  readonly uses: readonly ColumnUse[];
  /** Headed as our own files are: nothing has to be matched. */
  readonly isOurs: boolean;
}

/**
 * Takes a file as one of ours; a table's columns as such a file was read last time, or else as they seem to be. A large one
 * takes a while: in steps of milliseconds each.
 */
export function* choosing(file: string, as: ExchangeFile, content: string | Blob): Generator<undefined, ChosenFile> {
  const { format, kind } = exchangeFiles[as];
  if (format !== 'csv' || typeof content !== 'string') return { file, as, content };
  const table = yield* tableSteps(
    content,
    columnsOf(kind).map(({ name }) => name),
  );
  const { heading } = table;
  // An empty file is refused in words by whoever reads it.
  if (!heading) return { file, as, content };
  const uses = rememberedColumns(kind, heading) ?? guessUses(kind, table);
  return { file, as, content, table: { ...table, heading, kind, uses, isOurs: isOurs(kind, table) } };
}

/** What is asked of the server: rows of ours, and how its answer is told in the file's own lines. */
export interface Asked {
  readonly content: string | Blob;
  readonly told: (report: ImportReport) => ImportReport;
}

/** The file as it is sent: `but` leaves lines out. Lines that could not be read at all are told here. */
export function askedOf({ as, content, table }: ChosenFile, but: ReadonlySet<number> = new Set()): Asked {
  if (!table) return { content, told: (report) => report };
  const rows = table.rows.filter(({ line }) => !but.has(line));
  const ours = asOurs(table.kind, rows, table.uses);
  const broken = table.broken.filter(({ line }) => !but.has(line));
  const { kind } = exchangeFiles[as];
  return {
    content: ours.text,
    told: (report) => ({
      ...report,
      counts: { ...report.counts, fault: report.counts.fault + broken.length },
      lines: [
        ...report.lines.map((each) => ({ ...each, line: ours.lineOf(each.line) })),
        ...broken.map(({ line }) => ({
          line,
          what: kind ? kindWords[kind].one : '',
          title: '',
          action: 'fault' as const,
          details: [brokenInWords],
        })),
      ],
    }),
  };
}

/** The same file with its columns read otherwise. */
export function withUses(chosen: ChosenFile, uses: readonly ColumnUse[]): ChosenFile {
  const { table } = chosen;
  if (!table) return chosen;
  rememberColumns(table.kind, table.heading, uses);
  return { ...chosen, table: { ...table, uses } };
}

/** The same file with a cell mended. */
export function withCell(chosen: ChosenFile, line: number, at: number, cell: string): ChosenFile {
  const { table } = chosen;
  if (!table) return chosen;
  const rows = table.rows.map((row) =>
    row.line === line ? { ...row, cells: table.heading.map((_, i) => (i === at ? cell : (row.cells[i] ?? ''))) } : row,
  );
  return { ...chosen, table: { ...table, rows } };
}

/** The same file with a line that could not be read written anew; it is read when it is looked at. */
export function withLine(chosen: ChosenFile, line: number, text: string): ChosenFile {
  const { table } = chosen;
  if (!table) return chosen;
  return { ...chosen, table: { ...table, broken: table.broken.map((each) => (each.line === line ? { line, text } : each)) } };
}

/** Reads the lines that were written anew; what still can't be read stays as it is. */
export function reread(chosen: ChosenFile): ChosenFile {
  const { table } = chosen;
  if (!table) return chosen;
  const known = columnsOf(table.kind).map(({ name }) => name);
  const [head = ''] = String(chosen.content).split(/\r\n|\n|\r/, 1);
  const read = table.broken.map(({ line, text }) => ({ line, text, ...readTable(`${head}\n${text}\n`, known) }));
  const mended = read.flatMap(({ line, rows: [row], broken }) => (row && broken.length === 0 ? [{ line, cells: row.cells }] : []));
  return {
    ...chosen,
    table: {
      ...table,
      rows: [...table.rows, ...mended].toSorted((a, b) => a.line - b.line),
      broken: table.broken.filter(({ line }) => !mended.some((each) => each.line === line)),
    },
  };
}

/** What is left of a file once its good lines were taken. */
export function onlyLines(chosen: ChosenFile, lines: ReadonlySet<number>): ChosenFile {
  const { table } = chosen;
  return table ? { ...chosen, table: { ...table, rows: table.rows.filter(({ line }) => lines.has(line)) } } : chosen;
}
