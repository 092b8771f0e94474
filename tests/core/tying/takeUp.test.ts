import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { formatKnot, parseKnot, takeUp } from '../../../src/core/index.ts';
import { bundleOf } from '../../../src/core/tying/bundle.ts';
import { windingOf } from '../../../src/core/tying/winding.ts';
import { anyKnot, anyTie } from '../../support/arbitrary.ts';
import { near } from '../../support/near.ts';
import { tieA, tieB } from '../../support/ties.ts';

/** Tail tip, take-up, top and lean; loop 420, drop 450. */
const references = [
  [tieA, 'Lo Ri Co T', 465.9, 134.1, 38.8, 0.135],
  [tieA, 'Li Ro Li Co T', 412.9, 187.1, 43.1, 0.132],
  [tieA, 'Li Ro Ci Lo Ri Co T', 334.2, 265.8, 50.8, 0.078],
  [tieA, 'Li Co Ri Lo Ci Ro Li Co T', 251.6, 348.4, 56.2, 0.052],
  [tieB, 'Lo Ri Co T', 477.4, 102.6, 29.2, 0.131],
  [tieB, 'Li Ro Li Co T', 435.9, 144.1, 32.5, 0.127],
  [tieB, 'Li Ro Ci Lo Ri Co T', 372.4, 207.6, 38.5, 0.073],
  [tieB, 'Li Co Ri Lo Ci Ro Li Co T', 303.9, 276.1, 43.0, 0.055],
] as const;

for (const [tie, word, tailMm, takeUpMm, topMm, lean] of references) {
  test(`${word} on a blade of ${tie.bladeMm} mm`, () => {
    const result = takeUp(parseKnot(word), tie, { loopMm: 420, tailMm });
    near(result.takeUpMm, takeUpMm, 0.001, 'take-up');
    near(result.shape.topMm, topMm, 0.002, 'top');
    near(result.shape.lean, lean, 0.01, 'lean');
  });
}

test('a gap at the crossing changes how a start is read, not what the knot takes up', () => {
  const knot = parseKnot('Li Ro Ci Lo Ri Co T');
  const close = takeUp(knot, tieA, { loopMm: 420, tailMm: 334.2 });
  const open = takeUp(knot, tieA, { loopMm: 420, tailMm: 334.2, crossingGapMm: 30 });
  assert.deepEqual(open, close);
});

test('take-up grows with every move of the word', () => {
  fc.assert(
    fc.property(anyKnot, anyTie, (knot, tie) => {
      const winding = windingOf(knot);
      let before = 0;
      for (let moves = 1; moves <= winding.spokes.length; moves++) {
        const { takeUpMm } = bundleOf({ ...winding, spokes: winding.spokes.slice(0, moves) }, tie, {
          loopMm: 420,
          standingMm: 350,
        });
        assert.ok(takeUpMm > before, `${formatKnot(knot)} after ${moves} moves`);
        before = takeUpMm;
      }
    }),
  );
});

test('a wider or thicker tie takes up more and makes a larger knot', () => {
  const hang = { loopMm: 420, tailMm: 350 };
  fc.assert(
    fc.property(anyKnot, anyTie, fc.double({ min: 1.05, max: 1.5, noNaN: true }), (knot, tie, by) => {
      const plain = takeUp(knot, tie, hang);
      const thicker = takeUp(knot, { ...tie, thicknessMm: tie.thicknessMm * by }, hang);
      const wider = takeUp(knot, { ...tie, bladeMm: tie.bladeMm * by, neckMm: tie.neckMm * by, tailMm: tie.tailMm * by }, hang);
      for (const larger of [thicker, wider]) {
        // As long as there is cloth left to tie with.
        fc.pre(larger.takeUpMm < tie.lengthMm - hang.loopMm - hang.tailMm - tie.bladeMm);
        assert.ok(larger.takeUpMm > plain.takeUpMm);
        assert.ok(larger.shape.topMm > plain.shape.topMm);
      }
    }),
  );
});

test('the shape adds up: the top is the middle and both flanks', () => {
  fc.assert(
    fc.property(anyKnot, anyTie, (knot, tie) => {
      const { shape, takeUpMm } = takeUp(knot, tie, { loopMm: 400, tailMm: 350 });
      fc.pre(takeUpMm < tie.lengthMm - 750 - tie.bladeMm);
      assert.ok(Math.abs(shape.topMm - (shape.middleMm + shape.leftFlankMm + shape.rightFlankMm)) < 1e-9);
      assert.ok(shape.bottomMm < shape.topMm && shape.heightMm > 0);
      assert.ok(shape.lean >= 0 && shape.lean < 1);
    }),
  );
});
