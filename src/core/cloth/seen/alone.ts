import { leafEdgeMm } from '../body.ts';
import type { SeenCloth, SeenStrand } from '../compact.ts';
import { type Canvas, emptyCanvas, type PictureRequest, paintStrand } from './picture.ts';

/** So much of the arms, and of what stands above the knot, can show between the leaves at most. */
const armShownMm = 60;
const aboveShownMm = 6;

/**
 * A picture of a knot by itself from the front, as RGBA bytes: its face whole, with no more than `bladeMm` of what hangs out of
 * it, and of what is behind the face only what shows between the leaves of a collar that lie against the knot.
 */
export function paintAlone(cloth: SeenCloth, bladeMm: number, request: PictureRequest): Uint8ClampedArray {
  const alone = knotAlone(cloth, bladeMm);
  const { columns, active, standing } = alone;
  const isFront = frontRows(alone);
  const hangs = hangsInFront(cloth.active, columns);
  const isFace = (row: number) => isFront(row) || (hangs && (active.parts[row] === 'tuck' || active.parts[row] === 'hang'));
  const canvas = emptyCanvas(request);
  paintStrand(canvas, standing, columns, request, () => true);
  paintStrand(canvas, active, columns, request, (row) => !isFace(row));
  coverByLeaves(canvas, leavesAt(cloth), request);
  paintStrand(canvas, active, columns, request, isFace);
  return canvas.pixels;
}

interface Leaves {
  /** How far out each leaf is pushed by the knot, mm: on the side of negative and of positive x. */
  readonly negativeMm: number;
  readonly positiveMm: number;
}

/** Leaves as far apart as the upper half of the knot's front holds them. */
function leavesAt(cloth: SeenCloth): Leaves {
  const { active, columns } = cloth;
  const { top, bottom } = frontEdges(cloth);
  const isFront = frontRows(cloth);
  let [negativeMm, positiveMm] = [0, 0];
  active.parts.forEach((_, row) => {
    if (!isFront(row)) return;
    for (let i = 3 * row * columns; i < 3 * (row + 1) * columns; i += 3) {
      const [x, y] = [active.position[i] ?? 0, active.position[i + 1] ?? 0];
      if (y > top || y < (top + bottom) / 2) continue;
      const out = Math.abs(x) - leafEdgeMm(y);
      if (x < 0) negativeMm = Math.max(negativeMm, out);
      else positiveMm = Math.max(positiveMm, out);
    }
  });
  return { negativeMm, positiveMm };
}

/** Wipes off what the leaves cover. */
function coverByLeaves(
  { pixels, depth }: Canvas,
  { negativeMm, positiveMm }: Leaves,
  { widthPx, heightPx, pxPerMm, centrePx, facing }: PictureRequest,
): void {
  const [leftMm, rightMm] = facing ? [positiveMm, negativeMm] : [negativeMm, positiveMm];
  for (let py = 0; py < heightPx; py++) {
    const edgeMm = leafEdgeMm((centrePx[1] - py - 0.5) / pxPerMm);
    for (let px = 0; px < widthPx; px++) {
      const asideMm = (px + 0.5 - centrePx[0]) / pxPerMm;
      if (asideMm >= -edgeMm - leftMm && asideMm <= edgeMm + rightMm) continue;
      const at = py * widthPx + px;
      pixels.fill(0, 4 * at, 4 * at + 4);
      depth.z[at] = Number.NEGATIVE_INFINITY;
    }
  }
}

/**
 * The rows of a knot's front: its band; where it has none, what falls over it; and where its end is led away under the collar,
 * its turns.
 */
function frontRows({ active, columns }: SeenCloth): (row: number) => boolean {
  const { parts } = active;
  if (parts.includes('band')) return (row) => parts[row] === 'band';
  if (hangsInFront(active, columns)) return (row) => parts[row] === 'top';
  return (row) => parts[row] === 'turn';
}

function hangsInFront({ rows, position }: SeenStrand, columns: number): boolean {
  return (position[3 * ((rows - 1) * columns + Math.floor(columns / 2)) + 1] ?? 0) < 0;
}

/** The knot without its arms, but for the ends at it, and with no more than `bladeMm` of what hangs out of it. */
function knotAlone(cloth: SeenCloth, bladeMm: number): SeenCloth {
  const { columns, active, standing } = cloth;
  const { top, bottom } = frontEdges(cloth);
  const within = [bottom - bladeMm, top + aboveShownMm] as const;
  const enters = active.parts.findIndex((part) => part !== 'arm');
  const out = active.parts.findIndex((part) => part === 'tuck' || part === 'hang');
  const hanging = standing.parts.indexOf('hang');
  return {
    columns,
    active: cut(active, columns, back(active, enters, armShownMm), lastWithin(active, columns, out < 0 ? active.rows - 1 : out, within)),
    standing: cut(standing, columns, back(standing, hanging, armShownMm), lastWithin(standing, columns, hanging, within)),
  };
}

/** The last row from `row` on before the middle of one leaves a range of heights, mm. */
function lastWithin({ rows, position }: SeenStrand, columns: number, row: number, [from, to]: readonly [number, number]): number {
  const middle = Math.floor(columns / 2);
  let at = row;
  const height = (each: number) => position[3 * (each * columns + middle) + 1] ?? 0;
  while (at < rows - 1 && height(at) >= from && (height(at) <= to || height(at + 1) < height(at))) at++;
  return at;
}

/** The row that lies `mm` of cloth before another. */
function back({ rest }: SeenStrand, row: number, mm: number): number {
  let at = row;
  for (let sum = 0; at > 0 && sum < mm; at--) sum += rest[at - 1] ?? 0;
  return at;
}

function cut({ parts, rest, position }: SeenStrand, columns: number, from: number, to: number): SeenStrand {
  return {
    rows: to - from + 1,
    parts: parts.slice(from, to + 1),
    rest: rest.slice(from, to),
    position: position.slice(3 * columns * from, 3 * columns * (to + 1)),
  };
}

const middleHalfMm = 12;

/** Heights of the front's upper and lower edge in its middle over the middle of the winding, mm. */
export function frontEdges(cloth: SeenCloth): { readonly top: number; readonly bottom: number } {
  const { active, columns } = cloth;
  const isFront = frontRows(cloth);
  let [top, bottom] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
  active.parts.forEach((_, row) => {
    if (!isFront(row)) return;
    for (let c = 0; c < columns; c++) {
      const at = 3 * (row * columns + c);
      if (Math.abs(active.position[at] ?? 0) >= middleHalfMm) continue;
      top = Math.max(top, active.position[at + 1] ?? 0);
      bottom = Math.min(bottom, active.position[at + 1] ?? 0);
    }
  });
  return top > bottom ? { top, bottom } : { top: 0, bottom: 0 };
}
