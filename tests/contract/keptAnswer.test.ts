import assert from 'node:assert/strict';
import test from 'node:test';
import { answerVersion, broughtUp } from '../../src/contract/keptAnswer.ts';
import { completeRequest, plan } from '../../src/core/index.ts';
import { question } from '../support/ties.ts';

const gapMm = 20;
const asked = { ...question, client: { ...question.client, crossingGapMm: gapMm } };
const request = completeRequest(asked);
const today = plan(asked).knots.find(({ moves }) => moves === 'Li Ro Li Co T')!;

/** An answer as the first version kept it: a start told with the ends crossed at the gap, which end by a flag, no steps. */
function firstAnswer(changes: object = {}) {
  const { code: _, title: __, steps: ___, refusal: ____, start, tail, shape, ...rest } = today;
  const { works: _____, ...tailThen } = tail;
  const { tiltDeg: ______, overhangDeg: _______, depthMm: ________, ...shapeThen } = shape;
  const { set: _________, readings: __________, landmarks, bladeLandmark, ...drops } = start;
  const near = ({ name, kind, offsetMm }: (typeof landmarks)[number]) => ({ name, kind, offsetMm });
  return JSON.parse(
    JSON.stringify({
      ...rest,
      names: ['four-in-hand'],
      reasons: [{ code: 'narrow-end', verdict: 'good', text: 'As it was said then.' }],
      tailFault: { kind: 'none' },
      tail: tailThen,
      shape: shapeThen,
      start: {
        ...drops,
        sets: 'tail',
        tailDropMm: start.tailDropMm - gapMm,
        bladeDropMm: start.bladeDropMm + gapMm,
        landmarks: landmarks.map(near),
        bladeLandmark: near(bladeLandmark),
      },
      ...changes,
    }),
  ) as object;
}
const firstRequest = () => {
  const { liking, rules, search, calibration: _, ...rest } = request;
  const { openLoopMm: __, crossedLoopMm: ___, ...client } = rest.client;
  const { kind: ____, ...tie } = rest.tie;
  return JSON.parse(JSON.stringify({ ...rest, client, tie, taste: { ...liking, ...rules, ...search } })) as object;
};

test('an answer of today comes through the door as it is', () => {
  const kept = JSON.parse(JSON.stringify(today)) as object;
  assert.deepEqual(broughtUp({ version: answerVersion, request: JSON.parse(JSON.stringify(request)), answer: kept }).answer, kept);
});

test('an answer of the first version keeps its figures, told as they are told now', () => {
  const { request: then, answer } = broughtUp({ version: 1, request: firstRequest(), answer: firstAnswer() });
  assert.deepEqual(then, request, 'what was one taste is preferences, rules and search');
  assert.deepEqual(answer.start.set, { end: 'tail', dropMm: today.start.set.dropMm });
  assert.ok(Math.abs(answer.start.bladeDropMm - today.start.bladeDropMm) < 1e-9);
  assert.ok(Math.abs(answer.start.readings.crossed.tailDropMm - today.start.readings.crossed.tailDropMm) < 1e-9);
  assert.deepEqual([answer.title, answer.code, answer.names, answer.steps], [today.title, today.code, today.names, today.steps]);
  assert.deepEqual([answer.refusal, answer.tail.works, answer.takeUpMm, answer.tip], [null, 1, today.takeUpMm, today.tip]);
  assert.deepEqual(answer.reasons, [{ code: 'tail', verdict: 'good', text: 'As it was said then.' }]);
});

test('what hindered a knot then is a code now, told in the reader’s unit; where the tail tied, the blade was set', () => {
  const refusalOf = (tailFault: object, changes: object = {}) =>
    broughtUp({ version: 1, request: { ...firstRequest(), units: 'in' }, answer: firstAnswer({ tailFault, ...changes }) }).answer.refusal;
  const short = refusalOf({ kind: 'too-short', byMm: 25.4 });
  assert.deepEqual([short?.code, short?.byMm], ['tail-too-short', 25.4]);
  assert.match(short?.text ?? '', /1 in\b/);
  assert.equal(refusalOf({ kind: 'peeps-out', byMm: 30 })?.code, 'tail-below-blade');
  const tailTied = { moves: 'N Li Ro Li Co H' };
  assert.equal(refusalOf({ kind: 'peeps-out', byMm: 30 }, tailTied)?.code, 'tail-too-long-to-hide');
  const first = firstAnswer(tailTied) as { start: object };
  const { answer } = broughtUp({ version: 1, request: firstRequest(), answer: { ...first, start: { ...first.start, sets: 'blade' } } });
  assert.deepEqual([answer.start.set.end, answer.start.set.dropMm], ['blade', answer.start.bladeDropMm]);
});

test('an answer of a later program is refused, not read as if it were of this one', () => {
  assert.throws(() => broughtUp({ version: answerVersion + 1, request, answer: today }), /later Ropewalk/);
});
