import assert from 'node:assert/strict';
import test from 'node:test';
import { completeRequest, type PlanQuestion } from '../../../src/core/index.ts';
import { planKnot } from '../../../src/core/plan/plan.ts';
import { readOn, tailOnClient, tiedOn, tiedOnCodes } from '../../../src/core/start/tiedOn.ts';
import { type ToldStart, wayCodes, waysToTell } from '../../../src/core/start/ways.ts';
import { question } from '../../support/ties.ts';

const fourInHand = 'Li Ro Li Co T';
const told = (asked: PlanQuestion, state: 'open' | 'crossed' | 'snug', moves = fourInHand) =>
  waysToTell({ plan: planKnot(asked, moves), request: completeRequest(asked), state });
const way = (all: readonly ToldStart[], code: ToldStart['way'], end?: ToldStart['end']) => {
  const found = all.find((each) => each.way === code && (end === undefined || each.end === end));
  assert.ok(found, code);
  return found;
};

test('each way says how good it is, the surest first', () => {
  const all = told(question, 'open');
  assert.deepEqual(
    all.map(({ tipSdMm }) => tipSdMm),
    all.map(({ tipSdMm }) => tipSdMm).toSorted((a, b) => a - b),
  );
  assert.ok(all.every(({ inBandProbability }) => inBandProbability > 0 && inBandProbability < 1));
  // What does not depend on the state is surest while the tie hangs open.
  assert.deepEqual(
    all.slice(0, 2).map((each) => each.way),
    ['mark', 'difference'],
  );
  const plain = planKnot(question, fourInHand).tip.sdMm;
  assert.ok(Math.abs(way(all, 'mark').tipSdMm - Math.hypot(plain, 1.2 * 5)) < 1e-9);
  assert.ok(Math.abs(way(all, 'difference').tipSdMm - Math.hypot(plain, (1.2 * 20) / 2)) < 1e-9);
});

test('a button within reach goes before a guessed rib', () => {
  const asked = { ...question, shirt: { ...question.shirt, buttonsMm: [70, 160, 250, 340, 430] } };
  for (const state of ['open', 'crossed', 'snug'] as const) {
    const all = told(asked, state).map((each) => each.way);
    if (all.includes('button')) assert.ok(all.indexOf('button') < all.indexOf('body'), state);
  }
  assert.ok(told(asked, 'snug').some((each) => each.way === 'button'));
  const far = { ...question, shirt: { ...question.shirt, buttonsMm: [70] } };
  assert.ok(told(far, 'snug').every((each) => each.way !== 'button'));
});

test('the same start: open and snug differ by what the loops have them differ', () => {
  const start = planKnot(question, fourInHand).start;
  assert.equal(way(told(question, 'open'), 'below', 'tail').mm, start.readings.open.tailDropMm);
  assert.equal(way(told(question, 'snug'), 'below', 'tail').mm, start.tailDropMm);
  assert.ok(start.readings.open.tailDropMm - start.tailDropMm > 25, 'more than the whole tolerance');
  assert.equal(way(told(question, 'open'), 'mark').mm, way(told(question, 'crossed'), 'mark').mm);
  assert.ok(wayCodes.every((code) => told(question, 'snug').some((each) => each.way === code) || code === 'button' || code === 'body'));
});

test('a knot handed over hangs the blade alike on both necks, and the tail by what the loops differ', () => {
  const request = completeRequest(question);
  for (const moves of [fourInHand, 'Li Co Ri Lo Ci Ro Li Co T']) {
    const plan = planKnot(question, moves);
    const other = readOn(plan, request, { neckMm: 430, heightMm: 1900 });
    assert.equal(other.plan.start.bladeDropMm, plan.start.bladeDropMm);
    assert.ok(Math.abs(other.plan.start.tailDropMm - (plan.start.tailDropMm - 35)) < 1e-9);
    const { snug } = other.plan.start.readings;
    assert.ok(Math.abs(snug.tailDropMm + snug.bladeDropMm + 430 + 25 - 1470) < 1e-9, 'all of the tie is somewhere');
    const back = readOn(other.plan, other.request, { neckMm: 395, heightMm: 1780 });
    assert.ok(Math.abs(back.plan.start.tailDropMm - plan.start.tailDropMm) < 1e-9);
    assert.ok(Math.abs(tailOnClient(other.plan.start.tailDropMm, request, other.request) - plan.start.tailDropMm) < 1e-9);
    const heights = waysToTell({ ...other, state: 'snug' }).filter(({ landmark }) => landmark?.kind === 'button');
    assert.deepEqual(heights, [], 'nothing is told by buttons of a shirt nobody knows');
  }
  assert.deepEqual(
    tiedOnCodes.filter((code) => tiedOn[code].handedOver),
    ['ownNeck', 'stand'],
  );
});
