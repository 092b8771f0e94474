import assert from 'node:assert/strict';
import test from 'node:test';
import { plan } from '../../../src/core/index.ts';
import { aimOn } from '../../../src/core/plan/aims.ts';
import { planKnot } from '../../../src/core/plan/plan.ts';
import { judgePinch, pinchedOf } from '../../../src/core/start/pinch.ts';
import { question } from '../../support/ties.ts';

const tolerance = { aboveMm: 13, belowMm: 12 };
const fourInHand = planKnot(question, 'Li Ro Li Co T');

test('pinched before the tuck the tip hangs a little higher than it will end', () => {
  const pinched = pinchedOf(fourInHand);
  assert.ok(pinched);
  assert.ok(pinched.lowersMm > 3 && pinched.lowersMm < 20, `${pinched.lowersMm}`);
  assert.equal(pinched.tipMm + pinched.lowersMm, fourInHand.tip.dropMm);
  const open = planKnot(question, 'Li Ro Li Co D');
  assert.equal(pinchedOf(open)?.lowersMm, 0, 'an open knot keeps the blade over it');
  const [narrow] = plan({ ...question, search: { manner: 'narrow' } }).knots;
  assert.ok(narrow);
  assert.equal(pinchedOf(narrow), null);
});

test('as it should be, go on; far off, undo and move by a little less', () => {
  assert.equal(judgePinch(fourInHand, 0, tolerance).advice, 'go-on');
  const low = judgePinch(fourInHand, 40, tolerance);
  assert.equal(low.advice, 'undo');
  assert.ok(low.moveMm > 30 && low.moveMm < 40, `${low.moveMm}`);
  const chances = [0, 10, 20, 30, 40].map((off) => judgePinch(fourInHand, off, tolerance).goesOn);
  assert.deepEqual(
    chances,
    chances.toSorted((a, b) => b - a),
  );
});

test('ends that are to come out level do, where the belt allows it', () => {
  const aim = aimOn('level', 35);
  const { knots } = plan({ ...question, aim });
  const feasible = knots.filter((knot) => knot.feasible);
  assert.ok(feasible.length > 3);
  let level = 0;
  for (const { tip, tail, moves } of feasible) {
    const off = tip.dropMm - 450 - aim.offsetMm;
    assert.ok(off >= -aim.aboveMm - 0.01 && off <= aim.belowMm + 0.01, `${moves} ends within tolerance`);
    const apart = tail.dropMm - tip.dropMm;
    const isAtEdge = Math.abs(off + aim.aboveMm) < 0.01 || Math.abs(off - aim.belowMm) < 0.01;
    assert.ok(Math.abs(apart) <= 1 || isAtEdge, `${moves}: tail ${apart} below the blade, tip ${off} off`);
    if (Math.abs(apart) <= 1) level += 1;
  }
  assert.ok(level > 0);
});
