import assert from 'node:assert/strict';
import test from 'node:test';
import { enumerateKnots, formatKnot, knotProperties } from '../../../src/core/index.ts';
import { isUnknotted } from '../../support/alexander.ts';
import { bladeStrand, type Point3 } from '../../support/spaceCurve.ts';

test('the method tells a trefoil and a figure of eight from a ring', () => {
  const curve = (at: (t: number) => Point3) => Array.from({ length: 90 }, (_, i) => at((i / 90) * 2 * Math.PI));
  assert.ok(isUnknotted(curve((t) => [Math.cos(t), Math.sin(t), 0.3 * Math.sin(2 * t)])));
  assert.ok(!isUnknotted(curve((t) => [Math.sin(t) + 2 * Math.sin(2 * t), Math.cos(t) - 2 * Math.cos(2 * t), -Math.sin(3 * t)])));
  assert.ok(
    !isUnknotted(curve((t) => [(2 + Math.cos(2 * t)) * Math.cos(3 * t), (2 + Math.cos(2 * t)) * Math.sin(3 * t), Math.sin(4 * t)])),
  );
});

test('the short rule for self-releasing agrees with the space curve of every knot to ten moves', () => {
  for (const knot of enumerateKnots(10)) {
    assert.equal(knotProperties(knot).selfReleasing, isUnknotted(bladeStrand(knot)), formatKnot(knot));
  }
});
