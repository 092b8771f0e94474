import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { type KnotPlan, type PlanQuestion, parseKnot, plan, takeUp } from '../../../src/core/index.ts';
import { anyTie } from '../../support/arbitrary.ts';
import { near } from '../../support/near.ts';
import { question, tieA, tieB } from '../../support/ties.ts';

const collar = (collarSpreadMm: number, tieSpaceMm: number) => ({ ...question.shirt, collarSpreadMm, tieSpaceMm });
const first = (asked: PlanQuestion): KnotPlan => plan(asked).knots[0]!;
const find = (asked: PlanQuestion, word: string): KnotPlan =>
  plan({ ...asked, taste: { ...asked.taste, knots: 'all' } }).knots.find(({ moves }) => moves === word)!;
const faultOf = ({ tailFault }: KnotPlan) => (tailFault.kind === 'none' ? { kind: tailFault.kind, byMm: 0 } : tailFault);
const reason = (knot: KnotPlan, code: string) => knot.reasons.find((each) => each.code === code)!;

test('the tip is planned at the front drop and the aim, with the reference start', () => {
  const knot = find(question, 'Li Ro Ci Lo Ri Co T');
  near(knot.start.tailDropMm, 334.2, 0.001, 'narrow tip');
  assert.equal(knot.tip.dropMm, 450);
  const lower = find({ ...question, aim: { offsetMm: 18 } }, 'Li Ro Ci Lo Ri Co T');
  assert.equal(lower.tip.dropMm, 468);
  assert.ok(lower.start.tailDropMm < knot.start.tailDropMm);
});

test('the plan agrees with a take-up at the start it names', () => {
  for (const { moves, start, takeUpMm, shape } of plan({ ...question, taste: { knots: 'all' } }).knots) {
    const again = takeUp(parseKnot(moves), tieA, { loopMm: 420, tailMm: start.tailDropMm });
    near(again.takeUpMm, takeUpMm, 1e-9, moves);
    assert.deepEqual(again.shape, shape);
  }
});

test('the collar decides: a small knot first for a semi-spread, a Windsor for a wide spread, none smaller for a cutaway', () => {
  assert.deepEqual(first({ ...question, shirt: collar(110, 8) }).names, ['four-in-hand']);
  assert.equal(first({ ...question, shirt: collar(135, 10) }).names[0], 'Windsor');
  const [point, cutaway] = [first({ ...question, shirt: collar(70, 5) }), first({ ...question, shirt: collar(150, 12) })];
  assert.ok(cutaway.shape.topMm > point.shape.topMm + 5);
});

test('the proportion school gives each class of collar its size', () => {
  const top = (shirt: PlanQuestion['shirt']) =>
    first({ ...question, ...(shirt ? { shirt } : {}), taste: { collarRule: 'proportion' } }).shape.topMm;
  assert.ok(top(collar(70, 5)) < 44);
  assert.ok(top(collar(110, 8)) >= 44 && top(collar(110, 8)) < 54);
  assert.ok(top(collar(150, 12)) >= 54);
});

test('a match is asked more of a blade than an inch', () => {
  const asked: PlanQuestion = { ...question, jacket: { lapelMm: 100 } };
  const inch = find(asked, 'Li Ro Li Co T');
  const match = find({ ...asked, taste: { lapelRule: 'match' } }, 'Li Ro Li Co T');
  assert.equal(reason(inch, 'lapel').verdict, 'good');
  assert.equal(reason(match, 'lapel').verdict, 'poor');
  assert.ok(inch.score > match.score);
  assert.equal(
    find({ ...question, jacket: null }, 'Li Ro Li Co T').reasons.some(({ code }) => code === 'lapel'),
    false,
  );
});

test('a very tall man with a standard tie: long knots are ruled out, and by how much is true', () => {
  const tall: PlanQuestion = { ...question, client: { heightMm: 2030, neckMm: 460, frontDropMm: 590 } };
  const windsor = find(tall, 'Li Co Ri Lo Ci Ro Li Co T');
  assert.equal(windsor.feasible, false);
  const { kind, byMm } = faultOf(windsor);
  assert.equal(kind, 'too-short');
  assert.match(windsor.reasons[0]!.text, /^Cannot be done: .* cm too little is left/);
  // A tie longer by just that much makes it work.
  const longer = (extra: number) => find({ ...tall, tie: { ...tieA, lengthMm: tieA.lengthMm + byMm + extra } }, windsor.moves).feasible;
  assert.deepEqual([longer(-1), longer(1)], [false, true]);
});

test('a short man with a long thin tie: no knot lands, the advice says what would', () => {
  const short: PlanQuestion = {
    ...question,
    client: { heightMm: 1570, neckMm: 355, frontDropMm: 380 },
    tie: { ...tieB, lengthMm: 1600, thicknessMm: 1.8 },
  };
  const result = plan(short);
  assert.ok(result.knots.every(({ feasible }) => !feasible));
  const nearest = result.knots[0]!;
  const { kind, byMm } = faultOf(nearest);
  assert.equal(kind, 'peeps-out');
  assert.equal(result.advice[0]?.code, 'no-knot-lands');
  const shorter = (more: number) => find({ ...short, tie: { ...short.tie, lengthMm: 1600 - byMm - more } }, nearest.moves).feasible;
  assert.deepEqual([shorter(-1), shorter(1)], [false, true]);
});

test('under a waistcoat the ends are hidden, so a long narrow end is no fault', () => {
  const asked: PlanQuestion = { ...question, tie: { ...tieA, lengthMm: 1560 } };
  assert.equal(find(asked, 'Lo Ri Co T').feasible, false);
  assert.equal(find({ ...asked, jacket: { lapelMm: 85, waistcoat: true } }, 'Lo Ri Co T').feasible, true);
});

test('uncertainty: an estimated drop widens the range, and the chance is the normal one', () => {
  const measured = find(question, 'Li Ro Li Co T').tip;
  const guessed = find({ ...question, client: { heightMm: 1780, neckMm: 395 } }, 'Li Ro Li Co T').tip;
  near(measured.sdMm, Math.hypot(5, 5, 18.71, 10), 0.001, 'sd');
  near(guessed.sdMm ** 2 - measured.sdMm ** 2, 20 ** 2 - 5 ** 2, 0.01, 'what the guess adds');
  assert.ok(Math.abs(guessed.dropMm - 0.255 * 1780) < 1e-9);
  // 25 mm to spare above and none below, at sd 22.3: half, less the tail beyond 1.119 sd.
  near(measured.inBandProbability, 0.3684, 0.002, 'chance');
});

test('landmarks tell how far below each the narrow tip hangs, nearest first', () => {
  const { start } = find(question, 'Li Ro Ci Lo Ri Co T');
  const offset = (name: string) => start.landmarks.find((landmark) => landmark.name === name)?.offsetMm ?? Number.NaN;
  assert.ok(Math.abs(offset('4th button below the collar') - (334.2 - 340)) < 0.1);
  assert.ok(Math.abs(offset('navel') - (334.2 - 0.23 * 1780)) < 0.1);
  assert.equal(start.landmarks[0]?.name, 'bottom of the ribs');
  const distances = start.landmarks.map(({ offsetMm }) => Math.abs(offsetMm));
  assert.deepEqual(
    distances,
    distances.toSorted((a, b) => a - b),
  );
  near(start.bladeDropMm + start.tailDropMm + 420, 1470, 1e-9, 'both ends and the loop');
});

test('feasible knots come first, then by score; ranks count from one', () => {
  fc.assert(
    fc.property(anyTie, fc.integer({ min: 340, max: 580 }), fc.integer({ min: 70, max: 149 }), (tie, frontDropMm, spread) => {
      const { knots } = plan({
        ...question,
        tie,
        client: { ...question.client, frontDropMm },
        shirt: collar(spread, 8),
        taste: { knots: 'all' },
      });
      assert.equal(knots.length, 85);
      knots.forEach((knot, i) => {
        const before = knots[i - 1];
        assert.equal(knot.rank, i + 1);
        assert.ok(knot.score >= 0 && knot.score <= 1);
        assert.equal(knot.feasible, knot.tailFault.kind === 'none');
        if (before) assert.ok(before.feasible || !knot.feasible);
        if (before?.feasible && knot.feasible) assert.ok(before.score >= knot.score);
      });
    }),
    { numRuns: 40 },
  );
});

test('reasons speak in the reader’s unit', () => {
  assert.match(reason(find(question, 'Li Ro Li Co T'), 'lapel').text, /8\.5 cm/);
  assert.match(reason(find({ ...question, units: 'in' }, 'Li Ro Li Co T'), 'lapel').text, /3 3\/8 in/);
});

test('aiming at the middle of the tolerance is advised when the aim is its edge', () => {
  assert.ok(plan(question).advice.some(({ code }) => code === 'aim-at-edge'));
  assert.ok(!plan({ ...question, aim: { offsetMm: -12, aboveMm: 13, belowMm: 12 } }).advice.some(({ code }) => code === 'aim-at-edge'));
});
