import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { solveByGradients } from '../../../src/core/numeric/sparse/conjugate.ts';
import { invert } from '../../../src/core/numeric/sparse/dense.ts';
import { eliminate } from '../../../src/core/numeric/sparse/elimination.ts';
import { addSquare, betweenItself, diagonalMatrix, type Symmetric } from '../../../src/core/numeric/sparse/symmetric.ts';

const entry = fc.double({ min: -2, max: 2, noNaN: true });

/** Matrices made of a diagonal and a few squares: sparse where there are few of them, crowded where there are many. */
const anyMatrix = fc.integer({ min: 2, max: 40 }).chain((size) =>
  fc.record({
    size: fc.constant(size),
    squares: fc.array(fc.array(fc.tuple(fc.integer({ min: 0, max: size - 1 }), entry), { minLength: 1, maxLength: 4 }), {
      minLength: 0,
      maxLength: 60,
    }),
    right: fc.array(entry, { minLength: size, maxLength: size }),
    late: fc.uniqueArray(fc.integer({ min: 0, max: size - 1 }), { maxLength: 3 }),
  }),
);

function built({
  size,
  squares,
}: {
  readonly size: number;
  readonly squares: readonly (readonly (readonly [number, number])[])[];
}): Symmetric {
  const matrix = diagonalMatrix(new Array<number>(size).fill(1));
  for (const square of squares) addSquare(matrix, { at: square.map(([at]) => at), by: square.map(([, by]) => by) }, 0.7);
  return matrix;
}

function times({ diagonal, rows }: Symmetric, vector: ArrayLike<number>): number[] {
  return rows.map((row, i) => [...row].reduce((sum, [j, value]) => sum + value * (vector[j] ?? 0), (diagonal[i] ?? 0) * (vector[i] ?? 0)));
}

function near(actual: ArrayLike<number>, expected: ArrayLike<number>, within: number): void {
  for (let i = 0; i < expected.length; i++) {
    assert.ok(Math.abs((actual[i] ?? Number.NaN) - (expected[i] ?? Number.NaN)) < within, `${i}: ${actual[i]} for ${expected[i]}`);
  }
}

test('elimination solves what the matrix was multiplied by, whatever comes late', () => {
  fc.assert(
    fc.property(anyMatrix, (given) => {
      const whole = built(given);
      const { solve } = eliminate(built(given), new Set(given.late));
      near(times(whole, solve(Float64Array.from(given.right))), given.right, 1e-9);
    }),
  );
});

test('what lies between two vectors is what solving for one and looking along the other says', () => {
  fc.assert(
    fc.property(anyMatrix, fc.nat(), fc.nat(), (given, a, b) => {
      const one = { at: [a % given.size], by: [1.5] };
      const other = { at: [b % given.size, 0], by: [1, -2] };
      const { solve, between } = eliminate(built(given), new Set(given.late));
      const right = new Float64Array(given.size);
      right[a % given.size] = 1.5;
      const solved = solve(right);
      const expected = (solved[b % given.size] ?? 0) - 2 * (solved[0] ?? 0);
      assert.ok(Math.abs(between(one, other) - expected) < 1e-9);
    }),
  );
});

test('gradients come to the same answer as elimination', () => {
  fc.assert(
    fc.property(anyMatrix, (given) => {
      const right = Float64Array.from(given.right);
      near(solveByGradients(built(given), right), eliminate(built(given), new Set()).solve(right), 1e-6);
    }),
  );
});

test('by itself a vector is never less sure than among all others, and exact where there are no others', () => {
  fc.assert(
    fc.property(anyMatrix, (given) => {
      const [square = [[0, 1] as const]] = given.squares;
      const at = [...new Set(square.map(([place]) => place))];
      const vector = { at, by: at.map(() => 1) };
      const alone = betweenItself(built(given), vector);
      const among = eliminate(built(given), new Set()).between(vector, vector);
      assert.ok(alone <= among + 1e-9, `${alone} beyond ${among}`);
      const whole = { at: Array.from({ length: given.size }, (_, i) => i), by: new Array<number>(given.size).fill(1) };
      const { between } = eliminate(built(given), new Set());
      assert.ok(Math.abs(betweenItself(built(given), whole) - between(whole, whole)) < 1e-8);
    }),
  );
});

test('a dense inverse times its matrix is one, for sizes around every panel', () => {
  for (const size of [1, 3, 63, 64, 65, 130]) {
    const matrix = new Float64Array(size * size);
    for (let i = 0; i < size; i++) {
      for (let j = 0; j < i; j++) matrix[i * size + j] = matrix[j * size + i] = Math.sin(i * 7 + j * 3);
      matrix[i * size + i] = size;
    }
    const given = matrix.slice();
    const inverse = invert(matrix, size);
    for (let i = 0; i < size; i += 7) {
      for (let j = 0; j < size; j += 5) {
        let sum = 0;
        for (let k = 0; k < size; k++) sum += (given[i * size + k] ?? 0) * (inverse[k * size + j] ?? 0);
        assert.ok(Math.abs(sum - (i === j ? 1 : 0)) < 1e-10, `${size}: ${i}, ${j}`);
      }
    }
  }
});
