import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import type { Vec3 } from '../../../src/core/numeric/vector.ts';
import { agree, alexanderAt, isUnknotted } from '../../../src/core/topology/alexander.ts';

const value = 123_457n;
const prime = 2n ** 61n - 1n;
const curve = (at: (t: number) => Vec3, points = 120) => Array.from({ length: points }, (_, i) => at((i / points) * 2 * Math.PI));
const trefoil = curve((t) => [Math.sin(t) + 2 * Math.sin(2 * t), Math.cos(t) - 2 * Math.cos(2 * t), -Math.sin(3 * t)]);
const figureEight = curve((t) => [(2 + Math.cos(2 * t)) * Math.cos(3 * t), (2 + Math.cos(2 * t)) * Math.sin(3 * t), Math.sin(4 * t)]);
/** A torus knot: p times round one way and q times the other. */
const torus = (p: number, q: number) =>
  curve((t) => [(3 + Math.cos(q * t)) * Math.cos(p * t), (3 + Math.cos(q * t)) * Math.sin(p * t), Math.sin(q * t)], 300);

test('trefoil, figure of eight and the knot of five have the polynomials that are published', () => {
  const t = value;
  assert.ok(agree(alexanderAt(trefoil, t), t * t - t + 1n, t));
  assert.ok(agree(alexanderAt(figureEight, t), (t * t - 3n * t + 1n) % prime, t));
  assert.ok(agree(alexanderAt(torus(2, 5), t), (t ** 4n - t ** 3n + t * t - t + 1n) % prime, t));
  assert.ok(agree(alexanderAt(torus(2, 3), t), t * t - t + 1n, t));
});

test('they are told from one another and from a ring', () => {
  const all = [trefoil, figureEight, torus(2, 5), torus(3, 4)].map((points) => alexanderAt(points, value));
  all.forEach((one, i) => {
    all.forEach((other, j) => {
      assert.equal(agree(one, other, value), i === j);
    });
  });
  for (const points of [trefoil, figureEight, torus(2, 5), torus(3, 4)]) assert.ok(!isUnknotted(points));
  assert.ok(isUnknotted(torus(1, 4)));
  assert.ok(isUnknotted(torus(5, 1)));
});

test('it does not depend on where one looks from, how large the curve is, or where it begins', () => {
  const expected = alexanderAt(trefoil, value);
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 6.28, noNaN: true }),
      fc.double({ min: 0.2, max: 30, noNaN: true }),
      fc.nat({ max: 119 }),
      (turn, size, first) => {
        const [c, s] = [Math.cos(turn), Math.sin(turn)];
        const moved = trefoil.map(([x, y, z]): Vec3 => [size * (c * x + s * z), size * y + 7, size * (c * z - s * x)]);
        const begun = [...moved.slice(first), ...moved.slice(0, first)];
        assert.ok(agree(alexanderAt(begun, value), expected, value));
        assert.ok(agree(alexanderAt(begun.toReversed(), value), expected, value));
      },
    ),
    { numRuns: 40 },
  );
});

test('nothing agrees with zero but zero', () => {
  assert.ok(agree(0n, 0n, value));
  assert.ok(!agree(0n, 1n, value));
  assert.ok(agree(5n, prime - 5n, value));
  assert.ok(agree(5n, 5n * value, value));
});
