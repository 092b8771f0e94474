import type { SeenStrand } from '../cloth/mesh/compact.ts';

/** A strip of cloth as a fine grid of points, row by row. */
export interface Surface {
  readonly rows: number;
  readonly columns: number;
  /** x, y, z, mm. */
  readonly position: Float64Array;
  /** Cloth coordinate of every point: across from the middle, and along, mm. */
  readonly cloth: Float64Array;
}

/**
 * A smooth surface through the points of a strand, each face of it `finer` times finer each way.
 * Source: Catmull and Rom, "A class of local interpolating splines" (1974), along and across.
 */
export function smoothSurface({ rows, rest, position }: SeenStrand, columns: number, finer: number): Surface {
  const fineRows = (rows - 1) * finer + 1;
  const fineColumns = (columns - 1) * finer + 1;
  const across = refined(position, rows, columns, 3, 3 * columns, finer);
  const out = refined(across, fineColumns, rows, 3 * fineColumns, 3, finer);
  const cloth = new Float64Array(2 * fineRows * fineColumns);
  let along = 0;
  for (let r = 0; r < fineRows; r++) {
    if (r > 0) along += (rest[Math.floor((r - 1) / finer)] ?? 0) / finer;
    for (let c = 0; c < fineColumns; c++) cloth[2 * (r * fineColumns + c) + 1] = along;
    // Across, the cloth is as far from the middle as its threads are long.
    for (const way of [1, -1]) {
      let from = 0;
      const middle = (fineColumns - 1) / 2;
      for (let step = 1; step <= middle; step++) {
        const a = r * fineColumns + middle + way * step;
        const b = a - way;
        const x = (out[3 * a] ?? 0) - (out[3 * b] ?? 0);
        const y = (out[3 * a + 1] ?? 0) - (out[3 * b + 1] ?? 0);
        const z = (out[3 * a + 2] ?? 0) - (out[3 * b + 2] ?? 0);
        from += Math.sqrt(x * x + y * y + z * z);
        cloth[2 * a] = way * from;
      }
    }
  }
  return { rows: fineRows, columns: fineColumns, position: out, cloth };
}

/**
 * Points put between those of `lines` lines of `points` points of x, y, z each, which lie `stride` numbers apart in a line, the lines
 * `lineStride`: in each line `finer` times as many, the lines as they lay to each other.
 */
function refined(from: Float64Array, lines: number, points: number, stride: number, lineStride: number, finer: number): Float64Array {
  const fine = (points - 1) * finer + 1;
  // Lines that lie side by side stay so; those that follow each other come to lie further apart.
  const outLineStride = stride < lineStride ? stride * fine : lineStride;
  const out = new Float64Array(3 * lines * fine);
  for (let k = 0; k < fine; k++) {
    const at = Math.min(points - 2, Math.floor(k / finer));
    const [w0 = 0, w1 = 0, w2 = 0, w3 = 0] = weights(k / finer - at);
    const before = Math.max(0, at - 1) * stride;
    const here = at * stride;
    const next = (at + 1) * stride;
    const after = Math.min(points - 1, at + 2) * stride;
    for (let line = 0; line < lines; line++) {
      for (let axis = 0; axis < 3; axis++) {
        const start = line * lineStride + axis;
        out[line * outLineStride + k * stride + axis] =
          w0 * (from[start + before] ?? 0) +
          w1 * (from[start + here] ?? 0) +
          w2 * (from[start + next] ?? 0) +
          w3 * (from[start + after] ?? 0);
      }
    }
  }
  return out;
}

function weights(t: number): readonly number[] {
  return [0.5 * (-t + 2 * t * t - t ** 3), 0.5 * (2 - 5 * t * t + 3 * t ** 3), 0.5 * (t + 4 * t * t - 3 * t ** 3), 0.5 * (-t * t + t ** 3)];
}
