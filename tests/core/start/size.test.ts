import assert from 'node:assert/strict';
import test from 'node:test';
import { completeRequest, type PlanQuestion } from '../../../src/core/index.ts';
import { planKnot } from '../../../src/core/plan/plan.ts';
import { aimAt, sizesOf } from '../../../src/core/start/size.ts';
import { tuckOf } from '../../../src/core/start/tuck.ts';
import { question, tieA } from '../../support/ties.ts';

const fourInHand = 'Li Ro Li Co T';

test('a higher tip makes a larger knot; a waistcoat gives it more room', () => {
  const plain = sizesOf(question, fourInHand);
  assert.ok(plain.largest.shape.topMm > plain.smallest.shape.topMm);
  const hidden = sizesOf({ ...question, jacket: { lapelMm: 85, waistcoat: true } }, fourInHand);
  assert.ok(hidden.fromMm < plain.fromMm);
  assert.ok(hidden.largest.shape.topMm > plain.largest.shape.topMm + 1);
  for (const offsetMm of [hidden.fromMm, -60, hidden.toMm]) {
    const aim = aimAt(hidden, offsetMm);
    assert.equal(aim.offsetMm - aim.aboveMm, hidden.fromMm, 'what is right stays where it was');
    assert.equal(aim.offsetMm + aim.belowMm, hidden.toMm);
  }
});

test('a tail that misses the keeper goes where the school has it, and by no more than it misses', () => {
  const short: PlanQuestion = { ...question, tie: { ...tieA, lengthMm: 1330, neckAtMm: 760 } };
  const request = completeRequest(short);
  const knot = planKnot(short, 'Li Ro Ci Lo Ri Co T');
  assert.equal(knot.tail.reachesKeeper, false);
  const buttons = tuckOf(knot, request, 'buttons');
  assert.equal(buttons?.where, 'between-buttons');
  assert.equal(tuckOf(knot, request, 'keeper')?.where, 'nowhere');
  const far = { ...request, shirt: { ...request.shirt, buttonsMm: [400] } };
  assert.equal(tuckOf(knot, far, 'anywhere')?.where, 'anywhere');
  assert.equal(tuckOf(knot, far, 'buttons')?.where, 'nowhere');
  const longEnough = { ...knot, tail: { ...knot.tail, dropMm: knot.tail.dropMm + (buttons?.shortMm ?? 0), reachesKeeper: true } };
  assert.equal(tuckOf(longEnough, request, 'buttons'), null);
});
