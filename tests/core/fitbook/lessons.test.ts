import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { takeUpSds, uncalibrated } from '../../../src/core/fitbook/calibration.ts';
import { calibrationFrom, type Lesson } from '../../../src/core/fitbook/lessons.ts';

const priors = { ...takeUpSds, offsetMm: 20 };
const lesson = (changes: Partial<Lesson> = {}): Lesson => ({ tie: 'a', knot: 'x', takeUpMm: 190, errorMm: 0, noiseMm: 10, ...changes });

/** What a calibration says of the next tip: how much lower than reckoned, and how far that may be off, without tying itself. */
function next(lessons: readonly Lesson[], tie: string, knot: string, takeUpMm: number) {
  const { takeUp, hand, client } = calibrationFrom(lessons, { tie }, priors);
  const share = takeUp.knots?.[knot] ?? takeUp;
  return { meanMm: hand.meanMm - takeUpMm * share.share, sdMm: Math.hypot(client.sdMm ?? 0, hand.sdMm, share.sd * takeUpMm) };
}

test('without lessons nothing is learnt', () => {
  assert.equal(calibrationFrom([], { tie: 'a' }, priors), uncalibrated);
});

test('one lesson: mean and spread are those of two normal quantities seen together', () => {
  const { stylist, tie, knot, offsetMm } = priors;
  const variance = offsetMm ** 2 + 190 ** 2 * (stylist ** 2 + tie ** 2 + knot ** 2);
  const { meanMm, sdMm } = next([lesson({ errorMm: 40 })], 'a', 'x', 190);
  assert.ok(Math.abs(meanMm - (40 * variance) / (variance + 100)) < 1e-9);
  assert.ok(Math.abs(sdMm - Math.sqrt(variance - variance ** 2 / (variance + 100))) < 1e-9);
});

test('the same tie and knot know most, another knot less, another tie least; all know more than before', () => {
  const seen = [lesson({ errorMm: 30 }), lesson({ errorMm: 34 })];
  const before = Math.hypot(20, uncalibrated.takeUp.sd * 190);
  const spreads = [next(seen, 'a', 'x', 190), next(seen, 'a', 'other', 190), next(seen, 'b', 'other', 190)].map(({ sdMm }) => sdMm);
  assert.deepEqual(
    [...spreads, before],
    [...spreads, before].toSorted((a, b) => a - b),
  );
});

test('lessons in any order teach the same, and each of them narrows', () => {
  const some = fc.array(
    fc.record({
      tie: fc.constantFrom('a', 'b'),
      knot: fc.constantFrom('x', 'y', 'z'),
      takeUpMm: fc.double({ min: 80, max: 380, noNaN: true }),
      errorMm: fc.double({ min: -80, max: 80, noNaN: true }),
      noiseMm: fc.constantFrom(10, 20),
    }),
    { minLength: 2, maxLength: 8 },
  );
  fc.assert(
    fc.property(some, (lessons) => {
      const there = next(lessons, 'a', 'x', 200);
      const back = next(lessons.toReversed(), 'a', 'x', 200);
      assert.ok(Math.abs(there.meanMm - back.meanMm) < 1e-6);
      const { client } = calibrationFrom(lessons, { tie: 'a' }, priors);
      const fewer = calibrationFrom(lessons.slice(1), { tie: 'a' }, priors);
      assert.ok((client.sdMm ?? 0) <= (fewer.client.sdMm ?? 0) + 1e-9);
    }),
  );
});
