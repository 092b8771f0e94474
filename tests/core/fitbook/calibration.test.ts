import assert from 'node:assert/strict';
import test from 'node:test';
import { type Calibration, uncalibrated } from '../../../src/core/fitbook/calibration.ts';
import { type PlanQuestion, plan } from '../../../src/core/index.ts';
import { near } from '../../support/near.ts';
import { question } from '../../support/ties.ts';

const windsor = 'Li Co Ri Lo Ci Ro Li Co T';
const find = (asked: PlanQuestion, word = windsor) =>
  plan({ ...asked, search: { knots: 'all' } }).knots.find(({ moves }) => moves === word)!;
const known = (changes: Partial<Calibration>) => find({ ...question, calibration: { ...uncalibrated, ...changes } });

test('before any record the formulas stand as they are', () => {
  assert.deepEqual(find({ ...question, calibration: uncalibrated }), find(question));
  near(uncalibrated.takeUp.sd, 0.1221, 0.001, 'the one prior of how sure they are');
});

test('a knot known to take up more starts higher, and its chance is surer', () => {
  const more = known({ takeUp: { share: 0.1, sd: 0.03 } });
  const before = find(question);
  assert.ok(more.start.tailDropMm < before.start.tailDropMm);
  assert.ok(more.tip.sdMm < before.tip.sdMm && more.tip.inBandProbability > before.tip.inBandProbability);
  // All of the tie is somewhere: below the button twice, around the neck, in the knot.
  near(more.start.tailDropMm + 420 + more.takeUpMm + more.tip.dropMm, 1470, 1e-4, 'the tie');
});

test('a hand and a client whose tips land lower start lower by as much, less the gain', () => {
  const lower = known({ hand: { meanMm: 12, sdMm: 4 }, client: { meanMm: 8, sdMm: 6 } });
  const moved = lower.start.tailDropMm - find(question).start.tailDropMm;
  assert.ok(moved > 20 / 1.35 && moved < 20 / 1.1, `${moved}`);
  assert.equal(lower.tip.dropMm, 450);
});
