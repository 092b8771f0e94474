/** Columns worked on together, and how far a row is followed at a time, so that what is read again is still at hand. */
const panel = 64;
const stretch = 256;

/**
 * The inverse of a symmetric positive definite matrix of `size` rows: by its Cholesky factor L, T = L⁻¹ turned over, and
 * T Tᵀ. Rows lie one after the other; only the lower half of `matrix` is read, and it is used up.
 */
export function invert(matrix: Float64Array, size: number): Float64Array {
  const turned = new Float64Array(size * size);
  for (let i = 0; i < size; i++) turned[i * size + i] = 1;
  // Each row of L, and each of T, is a row that times Lᵀ gives what is known: A’s row, and a one in its own place.
  for (let from = 0; from < size; from += panel) {
    const to = Math.min(from + panel, size);
    addProducts(matrix, matrix, matrix, size, { rows: [from, size], columns: [from, to], along: [0, from] }, -1);
    factor(matrix, size, from, to);
    solveRows(matrix, matrix, size, [to, size], from, to);
    // A row of T holds nothing before its own place.
    for (let top = 0; top < from; top += panel) {
      addProducts(turned, turned, matrix, size, { rows: [top, top + panel], columns: [from, to], along: [top, from] }, -1);
    }
    solveRows(turned, matrix, size, [0, to], from, to);
  }
  const inverse = matrix.fill(0);
  for (let from = 0; from < size; from += panel) {
    const to = Math.min(from + panel, size);
    for (let top = 0; top < to; top += panel) {
      const bottom = Math.min(top + panel, to);
      addProducts(inverse, turned, turned, size, { rows: [top, bottom], columns: [0, bottom], along: [from, to] }, 1);
    }
  }
  for (let i = 0; i < size; i++) for (let j = 0; j < i; j++) inverse[j * size + i] = inverse[i * size + j];
  return inverse;
}

/** The rows of a panel against each other, one after the other. */
function factor(lower: Float64Array, size: number, from: number, to: number): void {
  for (let i = from; i < to; i++) {
    solveRows(lower, lower, size, [i, i + 1], from, i);
    let rest = lower[i * size + i];
    for (let k = from; k < i; k++) rest -= lower[i * size + k] ** 2;
    lower[i * size + i] = Math.sqrt(rest);
  }
}

/** Rows x of a panel with x Lᵀ = what stands in their place, L the panel’s own triangle. */
function solveRows(
  x: Float64Array,
  lower: Float64Array,
  size: number,
  [first, last]: readonly [number, number],
  from: number,
  to: number,
): void {
  for (let i = first; i < last; i++) {
    for (let j = from; j < to; j++) {
      let rest = x[i * size + j];
      for (let k = from; k < j; k++) rest -= x[i * size + k] * lower[j * size + k];
      x[i * size + j] = rest / lower[j * size + j];
    }
  }
}

type Span = readonly [from: number, to: number];

interface Part {
  readonly rows: Span;
  readonly columns: Span;
  /** Of the rows that are multiplied. */
  readonly along: Span;
}

/** Rows taken side by side: sixteen sums for eight numbers read. */
const beside = 4;

/** Adds `sign` times the products of rows of `a` with rows of `b` to a part of `out`. */
function addProducts(
  out: Float64Array,
  a: Float64Array,
  b: Float64Array,
  size: number,
  { rows, columns, along }: Part,
  sign: number,
): void {
  const packedRows = new Float64Array(beside * stretch);
  const packedColumns = new Float64Array((columns[1] - columns[0] + beside - 1) * stretch);
  for (let from = along[0]; from < along[1]; from += stretch) {
    const count = Math.min(stretch, along[1] - from);
    for (let j = columns[0]; j < columns[1]; j += beside)
      pack(packedColumns, (j - columns[0]) * count, b, size, j, columns[1], from, count);
    for (let i = rows[0]; i < rows[1]; i += beside) {
      pack(packedRows, 0, a, size, i, rows[1], from, count);
      for (let j = columns[0]; j < columns[1]; j += beside) {
        addSixteen(out, size, packedRows, packedColumns, (j - columns[0]) * count, count, [i, rows[1]], [j, columns[1]], sign);
      }
    }
  }
}

/** Four rows of a matrix taken apart so that what is multiplied together lies together; rows beyond the last are nothing. */
function pack(
  into: Float64Array,
  at: number,
  matrix: Float64Array,
  size: number,
  row: number,
  end: number,
  from: number,
  count: number,
): void {
  for (let r = 0; r < beside; r++) {
    const there = row + r < end;
    let start = (row + r) * size + from;
    for (let k = at + r; k < at + beside * count; k += beside) into[k] = there ? matrix[start++] : 0;
  }
}

function addSixteen(
  out: Float64Array,
  size: number,
  rows: Float64Array,
  columns: Float64Array,
  columnsAt: number,
  count: number,
  [i, rowsEnd]: Span,
  [j, columnsEnd]: Span,
  sign: number,
): void {
  let s00 = 0;
  let s01 = 0;
  let s02 = 0;
  let s03 = 0;
  let s10 = 0;
  let s11 = 0;
  let s12 = 0;
  let s13 = 0;
  let s20 = 0;
  let s21 = 0;
  let s22 = 0;
  let s23 = 0;
  let s30 = 0;
  let s31 = 0;
  let s32 = 0;
  let s33 = 0;
  let q = columnsAt;
  for (let p = 0; p < beside * count; p += beside) {
    const b0 = columns[q];
    const b1 = columns[q + 1];
    const b2 = columns[q + 2];
    const b3 = columns[q + 3];
    q += beside;
    const a0 = rows[p];
    s00 += a0 * b0;
    s01 += a0 * b1;
    s02 += a0 * b2;
    s03 += a0 * b3;
    const a1 = rows[p + 1];
    s10 += a1 * b0;
    s11 += a1 * b1;
    s12 += a1 * b2;
    s13 += a1 * b3;
    const a2 = rows[p + 2];
    s20 += a2 * b0;
    s21 += a2 * b1;
    s22 += a2 * b2;
    s23 += a2 * b3;
    const a3 = rows[p + 3];
    s30 += a3 * b0;
    s31 += a3 * b1;
    s32 += a3 * b2;
    s33 += a3 * b3;
  }
  const sums = [s00, s01, s02, s03, s10, s11, s12, s13, s20, s21, s22, s23, s30, s31, s32, s33];
  const height = Math.min(beside, rowsEnd - i);
  const width = Math.min(beside, columnsEnd - j);
  for (let r = 0; r < height; r++) for (let c = 0; c < width; c++) out[(i + r) * size + j + c] += sign * sums[r * beside + c];
}
