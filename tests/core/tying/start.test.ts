import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { enumerateKnots, parseKnot } from '../../../src/core/index.ts';
import { startFor } from '../../../src/core/tying/start.ts';
import { windingOf } from '../../../src/core/tying/winding.ts';
import { anyKnot, anyTie } from '../../support/arbitrary.ts';
import { near } from '../../support/near.ts';
import { tieA, tieB } from '../../support/ties.ts';

test('the start of the reference knots', () => {
  const wanted = [
    ['Lo Ri Co T', 465.9, 477.4],
    ['Li Ro Li Co T', 412.9, 435.9],
    ['Li Ro Ci Lo Ri Co T', 334.2, 372.4],
    ['Li Co Ri Lo Ci Ro Li Co T', 251.6, 303.9],
  ] as const;
  for (const [word, ...tails] of wanted) {
    [tieA, tieB].forEach((tie, i) => {
      const { tailMm } = startFor(windingOf(parseKnot(word)), tie, { loopMm: 420, dropMm: 450 });
      near(tailMm, tails[i]!, 0.001, word);
    });
  }
});

const anyQuestion = fc.record({
  loopMm: fc.integer({ min: 320, max: 520 }),
  dropMm: fc.integer({ min: 330, max: 600 }),
});

test('the solved start puts the tip where it was asked, also for ties far too short', () => {
  fc.assert(
    fc.property(anyKnot, anyTie, anyQuestion, (knot, tie, question) => {
      const { tailMm, bundle } = startFor(windingOf(knot), tie, question);
      const tip = tie.lengthMm - question.loopMm - tailMm - bundle.takeUpMm;
      assert.ok(Math.abs(tip - question.dropMm) < 0.02, `tip at ${tip}, asked ${question.dropMm}`);
    }),
    { numRuns: 500 },
  );
});

test('it takes at most eight take-ups a knot on average, over many ties and clients', () => {
  const knots = enumerateKnots(9).map(windingOf);
  const counts: number[] = [];
  fc.assert(
    fc.property(anyTie, anyQuestion, (tie, question) => {
      for (const spokes of knots) counts.push(startFor(spokes, tie, question).evaluations);
    }),
    { numRuns: 50 },
  );
  const mean = counts.reduce((sum, count) => sum + count, 0) / counts.length;
  assert.ok(mean <= 8, `${mean} on average`);
});

test('a lower start moves the tip by more than itself, so the thumb rule overshoots', () => {
  const spokes = windingOf(parseKnot('Li Co Ri Lo Ci Ro Li Co T'));
  const at = (dropMm: number) => startFor(spokes, tieA, { loopMm: 420, dropMm }).tailMm;
  const gain = 20 / (at(440) - at(460));
  assert.ok(gain > 1.1 && gain < 1.35, `the tip moves ${gain} times the start`);
});

test('a tip asked for lower asks for a higher start, and a longer tie for a lower one: strictly, for every knot and tie', () => {
  fc.assert(
    fc.property(anyKnot, anyTie, anyQuestion, fc.integer({ min: 1, max: 60 }), (knot, tie, question, moreMm) => {
      const winding = windingOf(knot);
      const { tailMm } = startFor(winding, tie, question);
      assert.ok(startFor(winding, tie, { ...question, dropMm: question.dropMm + moreMm }).tailMm < tailMm);
      const longer = { ...tie, lengthMm: tie.lengthMm + moreMm, neckAtMm: tie.neckAtMm + moreMm };
      assert.ok(startFor(winding, longer, question).tailMm > tailMm - moreMm, 'no shorter than the cloth that was added could make it');
    }),
    { numRuns: 400 },
  );
});
