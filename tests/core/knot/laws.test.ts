import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { enumerateKnots, formatKnot, frames, knotProperties, parseKnot, plan, takeUp } from '../../../src/core/index.ts';
import { passesOf } from '../../../src/core/knot/passes.ts';
import { mappedKnots } from '../../../src/core/knotMap/mappedKnots.ts';
import { anyFrame, anyKnot, anyTie } from '../../support/arbitrary.ts';
import { question } from '../../support/ties.ts';

const hang = { loopMm: 420, tailMm: 380 };

test('every word obeys the laws it is enumerated by', () => {
  for (const knot of enumerateKnots(12)) {
    const regions = knot.moves.map(({ region }) => region);
    const directions = knot.moves.map(({ direction }) => direction);
    assert.equal(regions[0], 'L');
    assert.ok(regions.every((region, i) => region !== regions[i - 1]));
    assert.ok(directions.every((direction, i) => direction !== directions[i - 1]));
    assert.match(regions.slice(-3).join(''), /^(RLC|LRC)$/);
    assert.equal(directions.at(-1), 'o');
  }
});

test('what follows from the word alone does not depend on how it is written down', () => {
  fc.assert(
    fc.property(anyKnot, anyFrame, (knot, frame) => {
      assert.deepEqual(knotProperties(parseKnot(formatKnot(knot, frame), frame)), knotProperties(knot));
    }),
  );
});

test('the seam follows from the parity, and half of all words of each length fall open', () => {
  for (let moves = 4; moves <= 11; moves += 1) {
    const words = enumerateKnots(moves).filter((knot) => knot.moves.length === moves);
    for (const knot of words) assert.equal(knotProperties(knot).startSeam, moves % 2 === 0 ? 'in' : 'out');
    const open = words.filter((knot) => knotProperties(knot).selfReleasing).length;
    assert.ok(Math.abs(open - words.length / 2) <= 0.5, `${open} of ${words.length}`);
  }
});

test('a word crosses a spoke a move, and the front one at least twice', () => {
  fc.assert(
    fc.property(anyKnot, (knot) => {
      const spokes = passesOf(knot).map(({ spoke }) => spoke);
      assert.equal(spokes.length, knot.moves.length);
      assert.ok(spokes.filter((spoke) => spoke === 'tail').length >= 2);
    }),
  );
});

test('thicker cloth takes up more and ties larger, whatever the knot and the tie', () => {
  fc.assert(
    fc.property(anyKnot, anyTie, fc.double({ min: 1.05, max: 1.6, noNaN: true }), (knot, tie, times) => {
      const thin = takeUp(knot, tie, hang);
      const thick = takeUp(knot, { ...tie, thicknessMm: tie.thicknessMm * times }, hang);
      // Where the knot would run past the blade's own tip there is no more cloth to grow by.
      fc.pre(thick.takeUpMm < tie.lengthMm - hang.loopMm - hang.tailMm - tie.bladeMm);
      assert.ok(thick.takeUpMm > thin.takeUpMm);
      assert.ok(thick.shape.topMm > thin.shape.topMm);
    }),
  );
});

test('a lower start knots wider cloth: more is taken up', () => {
  fc.assert(
    fc.property(anyKnot, anyTie, (knot, tie) => {
      const low = takeUp(knot, tie, { ...hang, tailMm: 330 });
      const high = takeUp(knot, tie, { ...hang, tailMm: 400 });
      assert.ok(high.takeUpMm >= low.takeUpMm - 60, 'never wildly less');
      assert.ok(Number.isFinite(low.shape.topMm) && low.shape.topMm > 0);
    }),
  );
});

test('one more throat turn never makes a smaller knot of the same tie', () => {
  const field = new Map(mappedKnots(question).map((knot) => [knot.plan.moves, knot.plan.shape.topMm]));
  const pairs = [
    ['Li Ro Li Co T', 'Li Ro Ci Lo Ri Co T'],
    ['Li Ro Ci Lo Ri Co T', 'Li Co Ri Lo Ci Ro Li Co T'],
    ['Lo Ri Co T', 'Lo Ci Ro Li Co T'],
    ['Lo Ci Ro Li Co T', 'Lo Ci Ro Ci Lo Ri Co T'],
  ] as const;
  for (const [fewer, more] of pairs) assert.ok(field.get(more)! > field.get(fewer)!, `${more} after ${fewer}`);
});

test('the plan starts every knot where its tip ends as aimed, for any tie', () => {
  fc.assert(
    fc.property(anyTie, (tie) => {
      for (const knot of plan({ ...question, tie, taste: { knots: 'all' } }).knots) {
        const { takeUpMm } = takeUp(parseKnot(knot.moves), tie, { loopMm: 420, tailMm: knot.start.tailDropMm });
        const tip = tie.lengthMm - 420 - knot.start.tailDropMm - takeUpMm;
        assert.ok(Math.abs(tip - 450) < 0.05, `${knot.moves}: ${tip}`);
      }
    }),
    { numRuns: 12 },
  );
});

test('the blade on the other side, or the other view, only swaps left and right', () => {
  fc.assert(
    fc.property(anyKnot, (knot) => {
      const written = new Set(frames.map((frame) => formatKnot(knot, frame)));
      assert.equal(written.size, 2);
      const [one = '', other = ''] = [...written];
      assert.equal(
        one.replace(/[LR]/g, (side) => (side === 'L' ? 'R' : 'L')),
        other,
      );
    }),
  );
});
