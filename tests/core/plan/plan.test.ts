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
const refusalOf = ({ refusal }: KnotPlan) => ({ code: refusal?.code, byMm: refusal?.byMm ?? 0 });
const reason = (knot: KnotPlan, code: string) => knot.reasons.find((each) => each.code === code)!;

test('the tip is planned at the front drop and the aim, with the reference start', () => {
  const knot = find(question, 'Li Ro Ci Lo Ri Co T');
  near(knot.start.tailDropMm, 334.2, 0.001, 'tail tip');
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

test('the collar decides: a small knot first for a semi-spread, a Half-Windsor for a wide spread, none smaller for a cutaway', () => {
  assert.deepEqual(first({ ...question, shirt: collar(110, 8) }).names, ['Four-in-hand']);
  assert.equal(first({ ...question, shirt: collar(135, 10) }).names[0], 'Half-Windsor');
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

test('a very tall wearer with a standard tie: long knots are ruled out, and by how much is true', () => {
  const tall: PlanQuestion = { ...question, client: { heightMm: 2030, neckMm: 460, frontDropMm: 590 } };
  const windsor = find(tall, 'Li Co Ri Lo Ci Ro Li Co T');
  assert.equal(windsor.feasible, false);
  const { code, byMm } = refusalOf(windsor);
  assert.equal(code, 'tail-too-short');
  assert.match(windsor.refusal!.text, /^Won’t work: the tail would be .* cm too short to hold/);
  // A tie longer by just that much makes it work half the time; what misses by less than its own uncertainty is a chance.
  const longer = (extra: number) => find({ ...tall, tie: { ...tieA, lengthMm: tieA.lengthMm + byMm + extra } }, windsor.moves);
  assert.deepEqual(
    [longer(-12), longer(-8), longer(1)].map(({ feasible }) => feasible),
    [false, true, true],
  );
  assert.ok(longer(-8).tail.works < 0.5 && longer(1).tail.works > 0.5);
});

test('a short wearer with a long thin tie: no knot lands, the advice says what would', () => {
  const short: PlanQuestion = {
    ...question,
    client: { heightMm: 1570, neckMm: 355, frontDropMm: 380 },
    tie: { ...tieB, lengthMm: 1600, thicknessMm: 1.8 },
  };
  const result = plan(short);
  assert.ok(result.knots.every(({ feasible }) => !feasible));
  const nearest = result.knots[0]!;
  const { code, byMm } = refusalOf(nearest);
  assert.equal(code, 'tail-below-blade');
  assert.equal(result.advice[0]?.code, 'no-knot-lands');
  const shorter = (more: number) => find({ ...short, tie: { ...short.tie, lengthMm: 1600 - byMm - more } }, nearest.moves);
  assert.ok(shorter(1).feasible && shorter(1).tail.works > 0.5);
  assert.ok(!shorter(-nearest.tip.sdMm - 2).feasible);
});

test('a waistcoat or a buttoned jacket hides a tail, though never one far below the blade', () => {
  const asked = (lengthMm: number, jacket: PlanQuestion['jacket']) =>
    find({ ...question, tie: { ...tieA, lengthMm }, jacket: jacket ?? null }, 'Lo Ri Co T');
  const waistcoat = { lapelMm: 85, waistcoat: true };
  const below = (knot: KnotPlan) => knot.tail.dropMm - knot.tip.dropMm;
  const [seen, hidden, far] = [asked(1490, null), asked(1490, waistcoat), asked(1560, { lapelMm: 85, worn: 'closed' })] as const;
  assert.ok(below(seen) > 10 && below(seen) < 40 && below(far) > 40);
  assert.ok(hidden.tail.works > seen.tail.works);
  assert.ok(hidden.feasible && !far.feasible);
});

test('uncertainty: an estimated drop widens the range, and the chance is the normal one', () => {
  const measured = find(question, 'Li Ro Li Co T').tip;
  const guessed = find({ ...question, client: { heightMm: 1780, neckMm: 395 } }, 'Li Ro Li Co T').tip;
  near(measured.sdMm, Math.hypot(5, 5, Math.hypot(0.06, 0.07, 0.08) * 187.1, 10), 0.001, 'sd');
  near(guessed.sdMm ** 2 - measured.sdMm ** 2, 20 ** 2 - 5 ** 2, 0.01, 'what the guess adds');
  assert.ok(Math.abs(guessed.dropMm - 0.255 * 1780) < 1e-9);
  // 25 mm to spare above and none below, at sd 25.95: half, less the tail beyond 0.963 sd.
  near(measured.inBandProbability, 0.3323, 0.002, 'chance');
});

test('landmarks tell how far below each the tail tip hangs, nearest first', () => {
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

test('feasible knots come first, then by score but for the first two; ranks count from one', () => {
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
        assert.ok(knot.score <= 1);
        assert.equal(knot.feasible, knot.refusal === null);
        if (before) assert.ok(before.feasible || !knot.feasible);
        // The first two stand for what speaks against them, and may be nearly as good only.
        if (before?.feasible && knot.feasible) assert.ok(before.score >= knot.score - (i <= 2 ? 0.25 : 0));
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
