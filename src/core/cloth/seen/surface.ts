import type { SeenStrand } from '../compact.ts';

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
  const out = new Float64Array(3 * fineRows * fineColumns);
  const cloth = new Float64Array(2 * fineRows * fineColumns);
  const along = [0];
  for (let row = 0; row < rows - 1; row++) along.push((along[row] ?? 0) + (rest[row] ?? 0));
  const point = (row: number, column: number, axis: number) => {
    const r = Math.max(0, Math.min(rows - 1, row));
    const c = Math.max(0, Math.min(columns - 1, column));
    return position[3 * (r * columns + c) + axis] ?? 0;
  };
  for (let r = 0; r < fineRows; r++) {
    const row = Math.min(rows - 2, Math.floor(r / finer));
    const wr = weights(r / finer - row);
    for (let c = 0; c < fineColumns; c++) {
      const column = Math.min(columns - 2, Math.floor(c / finer));
      const wc = weights(c / finer - column);
      const at = r * fineColumns + c;
      for (let axis = 0; axis < 3; axis++) {
        let sum = 0;
        for (let i = 0; i < 4; i++)
          for (let j = 0; j < 4; j++) sum += (wr[i] ?? 0) * (wc[j] ?? 0) * point(row + i - 1, column + j - 1, axis);
        out[3 * at + axis] = sum;
      }
      const share = r / finer - row;
      cloth[2 * at + 1] = (along[row] ?? 0) + share * ((along[row + 1] ?? 0) - (along[row] ?? 0));
    }
    // Across, the cloth is as far from the middle as its threads are long.
    for (const way of [1, -1]) {
      let from = 0;
      const middle = (fineColumns - 1) / 2;
      for (let step = 1; step <= middle; step++) {
        const a = r * fineColumns + middle + way * step;
        const b = a - way;
        from += Math.sqrt([0, 1, 2].reduce((sum, axis) => sum + ((out[3 * a + axis] ?? 0) - (out[3 * b + axis] ?? 0)) ** 2, 0));
        cloth[2 * a] = way * from;
      }
    }
  }
  return { rows: fineRows, columns: fineColumns, position: out, cloth };
}

function weights(t: number): readonly number[] {
  return [0.5 * (-t + 2 * t * t - t ** 3), 0.5 * (2 - 5 * t * t + 3 * t ** 3), 0.5 * (t + 4 * t * t - 3 * t ** 3), 0.5 * (-t * t + t ** 3)];
}
