import type { Symmetric } from './symmetric.ts';

/** Of the right side: what may be left over. */
const leftOver = 1e-9;
const mostSteps = 2000;

/** Solves with a symmetric positive definite matrix without taking it apart: conjugate gradients, each place scaled by its own diagonal. */
export function solveByGradients({ diagonal, rows }: Symmetric, right: Float64Array): Float64Array {
  const size = right.length;
  const at = rows.map((row) => Int32Array.from(row.keys()));
  const by = rows.map((row) => Float64Array.from(row.values()));
  const out = new Float64Array(size);
  const rest = Float64Array.from(right);
  const scaled = rest.map((value, i) => value / diagonal[i]);
  const along = Float64Array.from(scaled);
  let size2 = dot(rest, scaled);
  const enough = leftOver ** 2 * size2;
  for (let step = 0; step < mostSteps && size2 > enough; step++) {
    const moved = along.map((value, i) => {
      let sum = diagonal[i] * value;
      for (let k = 0; k < at[i].length; k++) sum += by[i][k] * along[at[i][k]];
      return sum;
    });
    const far = size2 / dot(along, moved);
    for (let i = 0; i < size; i++) {
      out[i] += far * along[i];
      rest[i] -= far * moved[i];
      scaled[i] = rest[i] / diagonal[i];
    }
    const next = dot(rest, scaled);
    for (let i = 0; i < size; i++) along[i] = scaled[i] + (next / size2) * along[i];
    size2 = next;
  }
  return out;
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i] * b[i];
  return sum;
}
