import type { Tie } from '../../tie/tie.ts';
import { widthAt } from '../../tie/width.ts';
import { neckRadiusMm, shirtZMm } from '../forces/body.ts';
import type { SeenCloth, SeenStrand } from '../mesh/compact.ts';
import type { Part } from '../mesh/loosePath.ts';
import { liesAtNeck } from './atNeck.ts';
import type { Nape } from './nape.ts';

/** Cloth from row to row of a frame, about, mm, and how many points a row has. */
const rowMm = 8;
const frameColumns = 5;

/** A strand as it was settled, with the place along the tie that each of its rows has come to. */
export interface SettledStrand {
  readonly columns: number;
  readonly rows: number;
  readonly position: Float64Array;
  readonly parts: readonly Part[];
  /** From the tip of the end that the strand runs out to, mm; falls from row to row. */
  readonly fromTipMm: Float64Array;
}

/**
 * A tie from the nape to both tips, in rows that are the same pieces of its cloth in every frame: so that what moves between two frames
 * is cloth, and the tips are where they are. Strands are told from the neck's sides; the way round to the nape, and what hangs below
 * where they end, are laid on here.
 */
export function frameOf(active: SettledStrand, standing: SettledStrand, tie: Tie, nape: Nape): SeenCloth {
  return {
    columns: frameColumns,
    active: alongTie(active, nape.activeMm, rowsIn(nape.activeMm), (x) => widthAt(tie, x), 1),
    standing: alongTie(standing, nape.standingMm, rowsIn(nape.standingMm), (x) => widthAt(tie, tie.lengthMm - x), -1),
  };
}

/** Rows round the neck and rows that hang on, where a mesh keeps its own rows. */
const roundRows = 12;
const hangRows = 24;

/** A frame with rows of its own in those of another of the same tie: so that the one can be mixed into the other. */
export function inRowsOf(cloth: SeenCloth, other: SeenCloth): SeenCloth {
  const strand = (own: SeenStrand, { rows, rest }: SeenStrand, side: 1 | -1): SeenStrand => {
    const fromTipMm = new Float64Array(own.rows);
    for (let row = own.rows - 2; row >= 0; row--) fromTipMm[row] = (fromTipMm[row + 1] ?? 0) + (own.rest[row] ?? 0);
    const napeMm = rest.reduce((sum, mm) => sum + mm, 0);
    // Both are all of the end: what rounding made of their lengths is taken back.
    const scale = napeMm / (fromTipMm[0] || napeMm);
    const laid = { ...own, columns: cloth.columns, fromTipMm: fromTipMm.map((mm) => mm * scale) };
    return alongTie(laid, napeMm, rows - 1, () => 0, side);
  };
  return {
    columns: frameColumns,
    active: strand(cloth.active, other.active, 1),
    standing: strand(cloth.standing, other.standing, -1),
  };
}

/** A mesh with its own rows and all of its tie besides. */
export function wholeTie({ columns, active, standing }: SeenCloth, tie: Tie, nape: Nape): SeenCloth {
  return {
    columns,
    active: wholeStrand(active, columns, nape.activeMm, (x) => widthAt(tie, x), 1),
    standing: wholeStrand(standing, columns, nape.standingMm, (x) => widthAt(tie, tie.lengthMm - x), -1),
  };
}

function wholeStrand(own: SeenStrand, columns: number, napeMm: number, widthOf: WidthOf, side: 1 | -1): SeenStrand {
  const middle = 3 * Math.floor(columns / 2);
  const [x, z] = [own.position[middle] ?? 0, own.position[middle + 2] ?? 0];
  const radius = Math.hypot(x, z - axisZ);
  const roundMm = Math.hypot(radius * (Math.PI - Math.atan2(side * x, z - axisZ)), napeRiseMm);
  const ownMm = own.rest.reduce((sum, mm) => sum + mm, 0);
  const hangMm = Math.max(0, napeMm - roundMm - ownMm);
  const strand = { columns, rows: own.rows, position: own.position };
  const stride = 3 * columns;
  const position = new Float64Array(stride * (roundRows + own.rows + hangRows));
  for (let row = 0; row < roundRows; row++) round(position, stride * row, strand, 1 - row / roundRows, side, columns);
  position.set(own.position, stride * roundRows);
  for (let row = 1; row <= hangRows; row++) {
    const below = (hangMm * row) / hangRows;
    goOn(position, stride * (roundRows + own.rows + row - 1), strand, below, widthOf, hangMm, columns);
  }
  return {
    rows: roundRows + own.rows + hangRows,
    parts: [...new Array<Part>(roundRows).fill('arm'), ...own.parts, ...new Array<Part>(hangRows).fill('hang')],
    rest: Float64Array.from([
      ...new Array<number>(roundRows).fill(roundMm / roundRows),
      ...own.rest,
      ...new Array<number>(hangRows).fill(hangMm / hangRows),
    ]),
    position,
  };
}

const rowsIn = (napeMm: number) => Math.max(2, Math.round(napeMm / rowMm));

function alongTie(strand: SettledStrand, napeMm: number, count: number, widthOf: WidthOf, side: 1 | -1): SeenStrand {
  const position = new Float64Array(3 * frameColumns * (count + 1));
  const parts: Part[] = [];
  const { fromTipMm, rows } = strand;
  const pinMm = fromTipMm[0] ?? 0;
  const endMm = fromTipMm[rows - 1] ?? 0;
  let at = 0;
  for (let row = 0; row <= count; row++) {
    const x = napeMm * (1 - row / count);
    const out = 3 * frameColumns * row;
    if (x > pinMm) {
      round(position, out, strand, (x - pinMm) / (napeMm - pinMm), side, frameColumns);
      parts.push('arm');
      continue;
    }
    if (x < endMm) {
      goOn(position, out, strand, endMm - x, widthOf, endMm, frameColumns);
      parts.push('hang');
      continue;
    }
    while (at < rows - 2 && (fromTipMm[at + 1] ?? 0) > x) at++;
    const [a, b] = [fromTipMm[at] ?? 0, fromTipMm[at + 1] ?? 0];
    const share = a > b ? (a - x) / (a - b) : 0;
    for (let c = 0; c < frameColumns; c++) {
      for (let axis = 0; axis < 3; axis++) {
        const p = acrossAt(strand, at, c, axis, frameColumns);
        position[out + 3 * c + axis] = p + share * (acrossAt(strand, Math.min(at + 1, rows - 1), c, axis, frameColumns) - p);
      }
    }
    parts.push(strand.parts[share < 0.5 ? at : at + 1] ?? 'hang');
  }
  return { rows: count + 1, parts, rest: new Float64Array(count).fill(napeMm / count), position };
}

/** The tie's own width so far from the tip, mm. */
type WidthOf = (fromTipMm: number) => number;

type Laid = Pick<SettledStrand, 'columns' | 'rows' | 'position'>;

/** A coordinate of a strand at one of `of` columns. */
function acrossAt({ position, columns }: Laid, row: number, column: number, axis: number, of: number): number {
  const at = (column * (columns - 1)) / (of - 1);
  const left = Math.min(columns - 2, Math.floor(at));
  const i = 3 * (row * columns + left) + axis;
  const p = position[i] ?? 0;
  return p + (at - left) * ((position[i + 3] ?? 0) - p);
}

/** Round the neck: `share` is 0 at the neck's side and 1 at the nape, where the collar stands a little higher. */
function round(position: Float64Array, out: number, strand: Laid, share: number, side: 1 | -1, of: number): void {
  for (let c = 0; c < of; c++) {
    const [x, y, z] = [0, 1, 2].map((axis) => acrossAt(strand, 0, c, axis, of)) as [number, number, number];
    const radius = Math.hypot(x, z - axisZ);
    const from = Math.atan2(side * x, z - axisZ);
    const angle = from + (Math.PI - from) * share;
    position[out + 3 * c] = side * radius * Math.sin(angle);
    position[out + 3 * c + 1] = y + napeRiseMm * share;
    position[out + 3 * c + 2] = axisZ + radius * Math.cos(angle);
  }
}

const axisZ = shirtZMm - neckRadiusMm;
const napeRiseMm = 8;

/** Cloth that was folded back lies so far outside of what it was folded back on, mm. */
const foldedApartMm = 3;

/** On from where a strand ends: down, or, from the neck's side, on round the neck. */
function goOn(position: Float64Array, out: number, strand: Laid, pastMm: number, widthOf: WidthOf, tipMm: number, of: number): void {
  const last = strand.rows - 1;
  if (!liesAtNeck(acrossAt(strand, last, Math.floor(of / 2), 2, of))) {
    hangOn(position, out, strand, pastMm, widthOf, tipMm, of);
    return;
  }
  for (let c = 0; c < of; c++) {
    const [x, y, z] = [0, 1, 2].map((axis) => acrossAt(strand, last, c, axis, of)) as [number, number, number];
    const radius = Math.hypot(x, z - axisZ);
    const from = Math.atan2(Math.abs(x), z - axisZ);
    // What reaches to the other side of the neck is folded back there, so that none of it comes to the front.
    const most = 2 * (Math.PI - from);
    const laps = pastMm / radius / most;
    const folded = Math.floor(laps);
    const share = folded % 2 === 0 ? laps - folded : 1 - (laps - folded);
    const angle = from + most * share;
    const outMm = radius + foldedApartMm * folded;
    position[out + 3 * c] = Math.sign(x) * outMm * Math.sin(angle);
    position[out + 3 * c + 1] = y + napeRiseMm * Math.sin(Math.PI * share);
    position[out + 3 * c + 2] = axisZ + outMm * Math.cos(angle);
  }
}

/** Straight down from where a strand ends, `tipMm` from its tip, flat and by and by as wide as the tie is and back to the shirt. */
function hangOn(position: Float64Array, out: number, strand: Laid, belowMm: number, widthOf: WidthOf, tipMm: number, of: number): void {
  const widthMm = widthOf(tipMm - belowMm);
  const { rows, columns } = strand;
  const last = 3 * ((rows - 1) * columns + Math.floor(columns / 2));
  const [x, y, z] = [0, 1, 2].map((axis) => strand.position[last + axis] ?? 0) as [number, number, number];
  const edge = (axis: number) => acrossAt(strand, rows - 1, of - 1, axis, of) - acrossAt(strand, rows - 1, 0, axis, of);
  const wide = Math.hypot(edge(0), edge(1), edge(2)) || 1;
  const fold = Math.min(1, wide / Math.max(1, widthOf(tipMm)));
  const restZ = Math.min(z, shirtZMm + restOffMm);
  const t = Math.min(1, belowMm / restOverMm);
  // What was held folded opens to its own width by and by.
  const open = Math.min(1, belowMm / opensOverMm);
  const own = widthMm * (fold + (1 - fold) * open * open * (3 - 2 * open));
  for (let c = 0; c < of; c++) {
    const aside = (c / (of - 1) - 0.5) * own;
    position[out + 3 * c] = x + (aside * edge(0)) / wide;
    position[out + 3 * c + 1] = y - belowMm + (aside * edge(1)) / wide;
    position[out + 3 * c + 2] = z + (restZ - z) * t * t * (3 - 2 * t) + (aside * edge(2)) / wide;
  }
}

const restOffMm = 8;
const restOverMm = 220;
const opensOverMm = 110;
