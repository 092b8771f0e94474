import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { formatKnot, type Knot, parseKnot, plan, takeUp } from '../../../src/core/index.ts';
import { knotsInManner } from '../../../src/core/knot/manners.ts';
import { tieFrom } from '../../../src/core/tie/turned.ts';
import { widthAt } from '../../../src/core/tie/width.ts';
import { gripNeeded } from '../../../src/core/tying/grip.ts';
import { startFor } from '../../../src/core/tying/start.ts';
import { windingOf } from '../../../src/core/tying/winding.ts';
import { anyKnot, anyTie } from '../../support/arbitrary.ts';
import { question, tieA } from '../../support/ties.ts';

const hang = { loopMm: 420, tailMm: 350 };
const narrow = fc.constantFrom(...knotsInManner('narrow', 8));

test('a tie turned round is as wide, counted from its other end, and turned back is itself', () => {
  const measured = { ...tieA, profile: [{ atMm: 300, widthMm: 70 }] };
  fc.assert(
    fc.property(fc.oneof(anyTie, fc.constant(measured)), fc.double({ min: 0, max: 1, noNaN: true }), (tie, share) => {
      const x = share * tie.lengthMm;
      const turned = tieFrom('narrow', tie);
      assert.ok(Math.abs(widthAt(turned, tie.lengthMm - x) - widthAt(tie, x)) < 1e-9);
      assert.deepEqual(tieFrom('narrow', turned), tie);
      assert.equal(tieFrom('blade', tie), tie);
    }),
  );
});

test('an open front is packed less, and its face is the panel', () => {
  fc.assert(
    fc.property(anyKnot, anyTie, (knot, tie) => {
      const tucked = takeUp(knot, tie, hang);
      const open = takeUp({ ...knot, finish: 'open' }, tie, hang);
      // Past the blade's own tip there is neither tuck nor panel.
      fc.pre(open.takeUpMm < tie.lengthMm - hang.loopMm - hang.tailMm - tie.bladeMm);
      assert.ok(open.takeUpMm > tucked.takeUpMm, 'the panel rises over the knot');
      assert.ok(open.takeUpMm < tucked.takeUpMm + open.shape.depthMm);
      assert.ok(open.shape.depthMm < tucked.shape.depthMm, 'no tuck lies in it');
      assert.ok(open.shape.lean * open.shape.topMm <= tucked.shape.lean * tucked.shape.topMm + 1e-9, 'the panel covers a lean');
      assert.ok(open.shape.bottomMm / open.shape.topMm >= tucked.shape.bottomMm / tucked.shape.topMm - 0.02, 'nothing gathers it below');
      assert.equal(open.shape.heightMm, tucked.shape.heightMm);
    }),
  );
});

test('turns held wider take up more and make a larger knot; held tighter than cloth allows they are tight', () => {
  fc.assert(
    fc.property(narrow, anyTie, fc.integer({ min: 20, max: 52 }), (knot, tie, diameterMm) => {
      const held = (mm: number): Knot => ({ ...knot, loose: { from: knot.moves.length - 1, diameterMm: mm } });
      const { loose: _, ...tight } = knot;
      const some = takeUp(held(diameterMm), tie, hang);
      const wider = takeUp(held(diameterMm + 8), tie, hang);
      const none = takeUp(tight, tie, hang);
      // Where the end runs out in the turns there is no more cloth to grow by.
      fc.pre(wider.takeUpMm < hang.tailMm - tie.tailMm);
      assert.ok(none.takeUpMm <= some.takeUpMm && some.takeUpMm <= wider.takeUpMm);
      assert.ok(none.shape.topMm <= some.shape.topMm + 1e-9 && some.shape.topMm <= wider.shape.topMm + 1e-9);
    }),
  );
});

test('tied with the tail, the blade is set first: no search, and the tip is where it was set', () => {
  fc.assert(
    fc.property(narrow, anyTie, (knot, tie) => {
      const asked = { loopMm: 420, dropMm: 450 };
      const { tailMm, restMm, bundle, evaluations } = startFor(windingOf(knot), tie, asked);
      assert.equal(evaluations, 1);
      const bladeMm = tie.lengthMm - asked.loopMm - tailMm;
      assert.ok(Math.abs(bladeMm - 450) < 1e-9);
      // All of the tie is somewhere: below the button, round the neck, in the knot, or left over.
      assert.ok(Math.abs(450 + asked.loopMm + bundle.takeUpMm + restMm - tie.lengthMm) < 1e-9);
      assert.equal(takeUp(knot, tie, { loopMm: 420, tailMm }).takeUpMm, bundle.takeUpMm);
    }),
  );
});

test('the plan tells which end is set, what the fabric must hold, and how long a tie it needs', () => {
  const { knots } = plan({ ...question, taste: { manner: 'any', knots: 'all' } });
  assert.ok(new Set(knots.map(({ properties }) => properties.manner)).size === 3);
  for (const { start, properties, tip, tail, refusal, gripNeeded: grip, lengthNeededMm, moves } of knots) {
    assert.equal(start.set.end, properties.active === 'narrow' ? 'blade' : 'tail', moves);
    assert.equal(grip, gripNeeded(properties));
    if (properties.active === 'narrow') {
      assert.ok(!tail.reachesKeeper);
      assert.ok(Math.abs(start.bladeDropMm - tip.dropMm) < 1e-9);
    }
    if (refusal?.code === 'tail-too-short') assert.ok(lengthNeededMm > question.tie.lengthMm, moves);
  }
  const sd = (manner: string) => knots.filter(({ properties }) => properties.manner === manner).map(({ tip }) => tip.sdMm);
  assert.ok(Math.max(...sd('narrow')) < Math.min(...sd('classic')), 'what the knot takes up cannot move a blade that is set');
});

test('a tie of the length that is needed does, and one a good deal shorter does not', () => {
  const taste = { manner: 'any', knots: 'all' } as const;
  for (const knot of plan({ ...question, taste }).knots.filter((_, i) => i % 9 === 0)) {
    const with_ = (lengthMm: number) =>
      plan({ ...question, tie: { ...question.tie, lengthMm }, taste }).knots.find(({ moves }) => moves === knot.moves)?.refusal?.code;
    assert.notEqual(with_(knot.lengthNeededMm + 40), 'tail-too-short', knot.moves);
    assert.equal(with_(knot.lengthNeededMm - 40), 'tail-too-short', knot.moves);
  }
});

test('smooth fabric is warned of for loose turns and panels, never for classic knots', () => {
  const said = (manner: 'classic' | 'open' | 'narrow', fabric: 'satin' | 'grenadine') =>
    plan({ ...question, tie: { ...question.tie, fabric }, taste: { manner, knots: 'all' } }).knots.flatMap(({ reasons }) =>
      reasons.filter(({ code }) => code === 'grip'),
    );
  assert.deepEqual(said('classic', 'satin'), []);
  for (const manner of ['open', 'narrow'] as const) {
    assert.ok(said(manner, 'satin').every(({ verdict }) => verdict !== 'good'));
    assert.ok(said(manner, 'grenadine').every(({ verdict }) => verdict === 'good'));
  }
});

test('a busy pattern speaks for a panel, a plain one that takes a dimple against it', () => {
  const verdict = (pattern: 'large' | 'solid') => {
    const { knots } = plan({ ...question, tie: { ...question.tie, pattern }, taste: { manner: 'open', knots: 'all' } });
    return knots[0]?.reasons.find(({ code }) => code === 'panel')?.verdict;
  };
  assert.equal(verdict('large'), 'good');
  assert.equal(verdict('solid'), 'fair');
});

test('words are looked at besides the family that is asked for, once', () => {
  const also = ['Li Ro Li Co Ri Lo Ci Ro Li Co T', 'Li Ro Li Co T', 'Li Co D'];
  const words = plan({ ...question, taste: { knots: 'named', also } }).knots.map(({ moves }) => moves);
  for (const word of also) assert.equal(words.filter((each) => each === word).length, 1, word);
});

test('a blade that starts on the left gives the mirror image of the knot', () => {
  const shapes = (blade: 'right' | 'left') =>
    new Map(plan({ ...question, client: { ...question.client, blade } }).knots.map(({ moves, shape }) => [moves, shape]));
  const right = shapes('right');
  for (const [word, shape] of shapes('left')) {
    const { leftFlankMm, rightFlankMm, tiltDeg, overhangDeg, ...rest } = shape;
    const { leftFlankMm: otherLeft, rightFlankMm: otherRight, tiltDeg: otherTilt, overhangDeg: otherOverhang, ...same } = right.get(word)!;
    assert.deepEqual([leftFlankMm, rightFlankMm, rest], [otherRight, otherLeft, same], formatKnot(parseKnot(word)));
    assert.ok(tiltDeg + otherTilt === 0 && overhangDeg + otherOverhang === 0);
  }
});
