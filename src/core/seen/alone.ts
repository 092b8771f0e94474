import { Leaves } from '../cloth/forces/leaves.ts';
import type { SeenCloth } from '../cloth/mesh/compact.ts';
import { frontEdges, frontOf } from './front.ts';
import { darkenHollows } from './hollows.ts';
import { type PictureRequest, paintStrand } from './picture.ts';
import { type Canvas, emptyCanvas } from './raster.ts';

/**
 * A picture of a knot by itself from the front, as RGBA bytes: its front whole, and of what is behind only what shows between
 * the leaves of a collar that lie against the knot, down to `bladeMm` below it; with none of that the end behind is left out.
 */
export function paintAlone(cloth: SeenCloth, bladeMm: number, request: PictureRequest): Uint8ClampedArray {
  const { columns, active, standing } = cloth;
  const front = frontOf(cloth);
  const isFront = (row: number) => active.parts[row] === front;
  const canvas = emptyCanvas(request);
  paintStrand(canvas, standing, columns, request, (row) => bladeMm > 0 || standing.parts[row] !== 'hang');
  paintStrand(canvas, active, columns, request, (row) => !isFront(row));
  wipe(canvas, leavesAt(cloth), frontEdges(cloth).bottom - bladeMm, request);
  paintStrand(canvas, active, columns, request, isFront);
  darkenHollows(canvas, request.pxPerMm);
  return canvas.pixels;
}

/** Small pictures show every knot in the same collar. */
const usualLeaves = new Leaves();

interface Pushed {
  /** How far out each leaf is pushed by the knot, mm: on the side of negative and of positive x. */
  readonly negativeMm: number;
  readonly positiveMm: number;
}

/** Leaves as far apart as the upper half of the knot's front holds them. */
function leavesAt(cloth: SeenCloth): Pushed {
  const { active, columns } = cloth;
  const { top, bottom } = frontEdges(cloth);
  const front = frontOf(cloth);
  let [negativeMm, positiveMm] = [0, 0];
  active.parts.forEach((part, row) => {
    if (part !== front) return;
    for (let i = 3 * row * columns; i < 3 * (row + 1) * columns; i += 3) {
      const [x, y] = [active.position[i] ?? 0, active.position[i + 1] ?? 0];
      if (y > top || y < (top + bottom) / 2) continue;
      const out = Math.abs(x) - usualLeaves.edgeMm(y);
      if (x < 0) negativeMm = Math.max(negativeMm, out);
      else positiveMm = Math.max(positiveMm, out);
    }
  });
  return { negativeMm, positiveMm };
}

/** Wipes off what the leaves cover, and what hangs lower than `lowestMm`. */
function wipe(
  { pixels, depth }: Canvas,
  { negativeMm, positiveMm }: Pushed,
  lowestMm: number,
  { widthPx, heightPx, pxPerMm, centrePx, facing }: PictureRequest,
): void {
  const [leftMm, rightMm] = facing ? [positiveMm, negativeMm] : [negativeMm, positiveMm];
  for (let py = 0; py < heightPx; py++) {
    const upMm = (centrePx[1] - py - 0.5) / pxPerMm;
    const edgeMm = usualLeaves.edgeMm(upMm);
    for (let px = 0; px < widthPx; px++) {
      const asideMm = (px + 0.5 - centrePx[0]) / pxPerMm;
      if (upMm >= lowestMm && asideMm >= -edgeMm - leftMm && asideMm <= edgeMm + rightMm) continue;
      const at = py * widthPx + px;
      pixels.fill(0, 4 * at, 4 * at + 4);
      depth.z[at] = Number.NEGATIVE_INFINITY;
    }
  }
}
