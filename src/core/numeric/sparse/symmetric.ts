/** A symmetric matrix of which most entries are nothing: its diagonal, and a row's other entries by their column, both ways. */
export interface Symmetric {
  readonly diagonal: Float64Array;
  readonly rows: readonly Map<number, number>[];
}

/** A vector of which most entries are nothing: places and their values. */
export interface Sparse {
  readonly at: readonly number[];
  readonly by: readonly number[];
}

/** The matrix with nothing but its diagonal. */
export function diagonalMatrix(diagonal: ArrayLike<number>): Symmetric {
  return { diagonal: Float64Array.from(diagonal), rows: Array.from(diagonal, () => new Map<number, number>()) };
}

/** Adds weight · v vᵀ to the matrix. A place may stand in `v` more than once. */
export function addSquare({ diagonal, rows }: Symmetric, { at, by }: Sparse, weight: number): void {
  for (let i = 0; i < at.length; i++) {
    const a = at[i];
    diagonal[a] += weight * by[i] * by[i];
    for (let j = 0; j < i; j++) {
      const b = at[j];
      const value = weight * by[i] * by[j];
      if (a === b) diagonal[a] += 2 * value;
      else addBothWays(rows, a, b, value);
    }
  }
}

export function addBothWays(rows: readonly Map<number, number>[], a: number, b: number, value: number): void {
  add(rows[a], b, value);
  add(rows[b], a, value);
}

export function add(row: Map<number, number>, at: number, value: number): void {
  row.set(at, (row.get(at) ?? 0) + value);
}

/**
 * v A⁻¹ v as if the matrix held nothing but the places of `v`, all others known exactly: never more than it is with them.
 * By elimination on the few rows there are.
 */
export function betweenItself({ diagonal, rows }: Symmetric, { at, by }: Sparse): number {
  const n = at.length;
  const square = at.map((a) => at.map((b) => (a === b ? diagonal[a] : (rows[a].get(b) ?? 0))));
  const right = [...by];
  let sum = 0;
  for (let i = 0; i < n; i++) {
    sum += right[i] ** 2 / square[i][i];
    for (let j = i + 1; j < n; j++) {
      const share = square[j][i] / square[i][i];
      right[j] -= share * right[i];
      for (let k = i + 1; k < n; k++) square[j][k] -= share * square[i][k];
    }
  }
  return sum;
}
