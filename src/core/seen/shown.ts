import type { ClothMesh } from '../cloth/mesh/mesh.ts';
import { coverFace, emptyDepth } from './raster.ts';

const pxPerMm = 2;
const halfPx = 160;

/** Share of the knot's face, as seen from the front, that each move shows: from the first move on. Arms and hanging ends do not count. */
export function shownMoves({ position: p, columns, count, active, standing }: ClothMesh): number[] {
  const seen = new Float64Array(3 * count);
  for (let v = 0; v < count; v++) {
    seen[3 * v] = halfPx + pxPerMm * (p[3 * v] ?? 0);
    seen[3 * v + 1] = halfPx - pxPerMm * (p[3 * v + 1] ?? 0);
    seen[3 * v + 2] = p[3 * v + 2] ?? 0;
  }
  const depth = emptyDepth(2 * halfPx, 2 * halfPx);
  const shown = new Int32Array(depth.z.length).fill(-1);
  for (const { first, rows, parts, moves } of [active, standing]) {
    for (let row = 0; row < rows - 1; row++) {
      const isFace = parts[row] !== 'arm' && parts[row] !== 'hang';
      const move = isFace ? (moves[row] ?? 0) : 0;
      const mark = (at: number) => {
        shown[at] = move;
      };
      for (let c = 0; c < columns - 1; c++) {
        const v = first + row * columns + c;
        coverFace(seen, v, v + 1, v + columns, depth, mark);
        coverFace(seen, v + 1, v + columns + 1, v + columns, depth, mark);
      }
    }
  }
  const areas = new Array<number>(active.moves.reduce((most, move) => Math.max(most, move), 0)).fill(0);
  for (const move of shown) if (move > 0) areas[move - 1] = (areas[move - 1] ?? 0) + 1;
  const all = areas.reduce((sum, area) => sum + area, 0);
  return areas.map((area) => (all > 0 ? area / all : 0));
}
