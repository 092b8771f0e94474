import assert from 'node:assert/strict';
import test from 'node:test';
import { enumerateKnots, formatKnot, knotProperties } from '../../../src/core/index.ts';
import type { Vec3 } from '../../../src/core/numeric/vector.ts';
import { isUnknotted } from '../../../src/core/topology/alexander.ts';
import { bladeStrand } from '../../support/spaceCurve.ts';
import { provedUnknotted, straightened } from '../../support/straighten.ts';

test('the method tells a trefoil and a figure of eight from a ring', () => {
  const curve = (at: (t: number) => Vec3) => Array.from({ length: 90 }, (_, i) => at((i / 90) * 2 * Math.PI));
  assert.ok(isUnknotted(curve((t) => [Math.cos(t), Math.sin(t), 0.3 * Math.sin(2 * t)])));
  assert.ok(!isUnknotted(curve((t) => [Math.sin(t) + 2 * Math.sin(2 * t), Math.cos(t) - 2 * Math.cos(2 * t), -Math.sin(3 * t)])));
  assert.ok(
    !isUnknotted(curve((t) => [(2 + Math.cos(2 * t)) * Math.cos(3 * t), (2 + Math.cos(2 * t)) * Math.sin(3 * t), Math.sin(4 * t)])),
  );
});

test('straightening lets no strand through another: a ring comes out as a triangle, knots never do', () => {
  const curve = (at: (t: number) => Vec3) => Array.from({ length: 60 }, (_, i) => at((i / 60) * 2 * Math.PI));
  assert.ok(provedUnknotted(curve((t) => [Math.cos(t), Math.sin(t), 0.3 * Math.sin(2 * t)])));
  // A ring laid into loops that cross one another seven times over and over.
  assert.ok(provedUnknotted(curve((t) => [Math.cos(3 * t) + 0.5 * Math.cos(t), Math.sin(2 * t), t < Math.PI ? t : 2 * Math.PI - t])));
  const trefoil = curve((t) => [Math.sin(t) + 2 * Math.sin(2 * t), Math.cos(t) - 2 * Math.cos(2 * t), -Math.sin(3 * t)]);
  for (let from = 0; from < 60; from += 5) assert.ok(straightened(trefoil, from).length >= 6, 'a knot has six edges at least');
});

/**
 * Both ways are proofs. Where the rule says that a knot falls open, what is left is straightened to
 * a triangle by steps that let no strand through another. Where it says that it does not, the
 * Alexander polynomial differs from the unknot's, which no unknotted curve's does.
 */
test('the short rule for self-releasing is proved for every word to eleven moves', () => {
  const knots = enumerateKnots(11);
  assert.equal(knots.length, 341);
  for (const knot of knots) {
    const strand = bladeStrand(knot);
    if (knotProperties(knot).selfReleasing) assert.ok(provedUnknotted(strand), `${formatKnot(knot)} was not straightened`);
    else assert.ok(!isUnknotted(strand), `${formatKnot(knot)} is not proved to be knotted`);
  }
});
