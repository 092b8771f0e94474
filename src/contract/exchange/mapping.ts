import Papa from 'papaparse';
import type { Measure } from '../../core/measures/measures.ts';
import { parseLength } from '../../core/units/length.ts';
import type { Kind } from '../records/records.ts';
import type { Column } from './column.ts';
import { columnsOf } from './columns.ts';
import type { Table, TableRow } from './table.ts';

/** Units a column of lengths may be written in; feet and inches are told by their marks among inches. */
export const tableUnits = {
  mm: { label: 'mm' },
  cm: { label: 'cm' },
  in: { label: 'inches' },
} as const;
export type TableUnit = keyof typeof tableUnits;

/** What one column of a file is read as: one of ours by its name, or nothing. */
export interface ColumnUse {
  readonly column: string | null;
  /** What its lengths are written in; of no matter to other columns. */
  readonly unit: TableUnit;
}

/** What other programs call our columns, beside their names and labels. */
const alsoCalled: Readonly<Record<string, readonly string[]>> = {
  label: ['name', 'title', 'description', 'item'],
  name: ['client', 'full name', 'customer'],
  phone: ['mobile', 'phone', 'tel'],
  email: ['mail', 'email address'],
  note: ['notes', 'remarks', 'comment', 'comments'],
  neck_mm: ['neck', 'neck size', 'collar'],
  height_mm: ['stature'],
  blade_mm: ['width', 'blade width', 'tie width'],
  length_mm: ['tie length'],
  thickness_mm: ['thick'],
  fabric: ['material', 'cloth'],
  lapel_mm: ['lapel'],
  collar_spread_mm: ['spread', 'point to point'],
  collar_point_mm: ['point', 'collar point'],
  collar_style: ['collar'],
  colours: ['colour', 'color', 'colors', 'colour code', 'color code'],
  colour: ['color', 'colour code', 'color code'],
  pattern: ['design'],
};

/** Headings as they are compared: case, signs and a unit at the end aside. */
function plain(heading: string): string {
  return heading
    .toLowerCase()
    .replace(unitAtEnd, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();
}

const unitAtEnd = /[\s_([]*\b(mm|millimet(?:re|er)s?|cm|centimet(?:re|er)s?|in|inch(?:es)?|ft|feet)\b[\s.)\]]*$|[\s(]*["″][\s)]*$/i;

function unitIn(heading: string): TableUnit | undefined {
  const found = unitAtEnd.exec(heading.trim().replaceAll('_', ' '));
  if (!found) return undefined;
  const word = (found[1] ?? 'in').toLowerCase();
  return word.startsWith('mm') || word.startsWith('milli') ? 'mm' : word.startsWith('c') ? 'cm' : 'in';
}

/** How well a heading names a column, 0 for not at all. */
function naming(heading: string, { name, label }: Column): number {
  if (heading.trim().toLowerCase() === name) return 4;
  const said = plain(heading);
  if (said === '') return 0;
  if (said === plain(name) || said === plain(label)) return 3;
  return alsoCalled[name]?.some((other) => said === other) ? 2 : 0;
}

const samples = 50;

/** How many of a column's cells are lengths in the measure's range, read in a unit. */
function fitting(cells: readonly string[], { minMm, maxMm }: Measure, unit: TableUnit): number {
  return cells.filter((cell) => {
    const mm = lengthIn(cell, unit);
    return mm !== undefined && mm >= minMm && mm <= maxMm;
  }).length;
}

const likely: readonly TableUnit[] = ['cm', 'in', 'mm'];

/** Of some units the one that most speaks for; where several do, the one named first. */
function best(units: readonly TableUnit[], speaksFor: (unit: TableUnit) => number): TableUnit {
  return units.toSorted((a, b) => speaksFor(b) - speaksFor(a))[0] ?? 'cm';
}

/** A length as a file has it, in mm; a unit in the cell itself goes before the column's. */
function lengthIn(cell: string, unit: TableUnit): number | undefined {
  return parseLength(cell, unit === 'in' ? 'in' : 'cm', unit === 'mm' ? 'fine' : 'tape');
}

/** What each column of a file seems to be, by its name or label, and the unit of its lengths. */
export function guessUses(kind: Kind, { heading = [], rows }: Table): ColumnUse[] {
  const columns = columnsOf(kind);
  const taken = new Set<string>();
  const bids = heading
    .flatMap((head, at) => columns.map((column) => ({ at, column, worth: naming(head, column) })))
    .filter(({ worth }) => worth > 0)
    .toSorted((a, b) => b.worth - a.worth || a.at - b.at);
  const matched: (Column | undefined)[] = heading.map(() => undefined);
  for (const { at, column } of bids) {
    if (taken.has(column.name) || matched[at]) continue;
    taken.add(column.name);
    matched[at] = column;
  }
  const cellsOf = (at: number) => rows.slice(0, samples).map(({ cells }) => cells[at] ?? '');
  // One column may be read either way; a file as a whole hardly can. Thickness alone is told in mm by everybody.
  const lengths = matched.flatMap((column, at) =>
    column?.measure && column.measure.fineness !== 'thickness' ? [{ measure: column.measure, cells: cellsOf(at) }] : [],
  );
  const ofFile = best(likely, (unit) => lengths.reduce((sum, { measure, cells }) => sum + fitting(cells, measure, unit), 0));
  return matched.map((column, at): ColumnUse => {
    const measure = column?.measure;
    if (!measure) return { column: column?.name ?? null, unit: 'mm' };
    const first = measure.fineness === 'thickness' ? 'mm' : ofFile;
    const unit = unitIn(heading[at] ?? '') ?? best([first, ...likely], (each) => fitting(cellsOf(at), measure, each));
    return { column: column.name, unit };
  });
}

/** Whether a file is headed as ours are, and needs no matching. */
export function isOurs(kind: Kind, { heading = [] }: Table): boolean {
  const names = new Set(columnsOf(kind).map(({ name }) => name));
  return heading.length > 0 && heading.every((head) => head.trim() === '' || names.has(head.trim().toLowerCase()));
}

export interface OurTable {
  readonly text: string;
  /** Which line of the file a line of it came from. */
  readonly lineOf: (line: number) => number;
}

/** A file's rows as a table of ours: the columns that are used, lengths in mm, choices by their codes. What can't be read stays as it is, to be told. */
export function asOurs(kind: Kind, rows: readonly TableRow[], uses: readonly ColumnUse[]): OurTable {
  const byName = new Map(columnsOf(kind).map((column) => [column.name, column]));
  const used = uses.flatMap(({ column, unit }, at) => {
    const ours = column === null ? undefined : byName.get(column);
    return ours ? [{ at, unit, column: ours }] : [];
  });
  const lines = new Map<number, number>();
  const written = rows.map(({ cells }) => Papa.unparse([used.map(({ at, unit, column }) => cellAs(column, cells[at] ?? '', unit))]));
  let line = 2;
  written.forEach((row, i) => {
    lines.set(line, rows[i]?.line ?? 0);
    line += row.split('\n').length;
  });
  const text = [Papa.unparse([used.map(({ column }) => column.name)]), ...written].join('\n');
  return { text: `${text}\n`, lineOf: (of) => lines.get(of) ?? of };
}

function cellAs({ measure, choices }: Column, cell: string, unit: TableUnit): string {
  if (measure) {
    const mm = cell.trim() === '' ? undefined : lengthIn(cell, unit);
    // A figure in mm goes through as it stands: a file of ours comes back exactly as it went.
    return mm === undefined || Number(cell) === mm ? cell : String(Number(mm.toFixed(4)));
  }
  if (choices) {
    const said = cell.trim().toLowerCase();
    const code = Object.keys(choices).find((key) => key === said || choices[key]?.label.toLowerCase() === said);
    return code ?? cell;
  }
  return cell;
}
