import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { completeRequest, plan } from '../../src/core/index.ts';
import { collarLeaves } from '../../src/drawing/collar/leaves.ts';
import { lapelMeasure } from '../../src/drawing/jacket/fronts.ts';
import { knotFace } from '../../src/drawing/knot/face.ts';
import { endBelowKnot, halfWidths, straightFromMm } from '../../src/drawing/tie/outline.ts';
import { walkLayout } from '../../src/drawing/walk/stretches.ts';
import { anyTie } from '../support/arbitrary.ts';
import { question, tieA } from '../support/ties.ts';

const { knots } = plan({ ...question, taste: { knots: 'all' } });

const pointsOf = (path: string) => [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const);

test('a knot is drawn at the core’s own measures, and the two views of it are mirror images', () => {
  for (const { moves, shape } of knots) {
    const facing = pointsOf(knotFace(moves, shape, { view: 'facing', blade: 'right' }).outline);
    const own = pointsOf(knotFace(moves, shape, { view: 'own', blade: 'right' }).outline);
    const across = own.map(([x]) => x);
    assert.ok(Math.abs(Math.max(...across) - Math.min(...across) - shape.topMm) < 0.3, moves);
    assert.ok(Math.abs(Math.max(...across) - (shape.middleMm / 2 + shape.rightFlankMm)) < 0.11, 'his right is on the right of his mirror');
    assert.ok(Math.max(...own.map(([, y]) => y)) >= shape.heightMm);
    assert.deepEqual(
      facing.map(([x, y]) => [-x + 0, y]),
      own.map(([x, y]) => [x + 0, y]),
    );
  }
});

test('collar points stand as far apart, and the edge is as long, as measured', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 50, max: 110 }),
      fc.double({ min: 0.3, max: 1.95, noNaN: true }),
      fc.integer({ min: 0, max: 15 }),
      (point, share, space) => {
        const collar = { collarPointMm: point, collarSpreadMm: Math.max(space + 5, share * point), tieSpaceMm: space };
        const [left, right] = collarLeaves(collar, 400).tips;
        assert.ok(Math.abs(right[0] - left[0] - collar.collarSpreadMm) < 1e-9);
        assert.ok(Math.abs(Math.hypot(right[0] - space / 2, right[1]) - point) < 1e-9);
      },
    ),
  );
});

test('the lapel is as broad as measured', () => {
  for (const lapelMm of [45, 85, 110]) {
    for (const lapelKind of ['notch', 'peak', 'shawl'] as const) {
      for (const worn of ['open', 'closed'] as const) {
        const jacket = { lapelMm, lapelKind, worn, cut: 'single', waistcoat: false, buttoningMm: null } as const;
        const [from, to] = lapelMeasure(jacket, 395, 450);
        assert.ok(Math.abs(Math.hypot(to[0] - from[0], to[1] - from[1]) - lapelMm) < 1e-9);
      }
    }
  }
});

test('the stretches of the walk follow one another and make up the whole tie', () => {
  const request = completeRequest({ ...question, client: { ...question.client, crossingGapMm: 20 } });
  for (const knot of plan(request).knots) {
    const { stretches, atButtonMm } = walkLayout(request, knot);
    assert.deepEqual(
      stretches.map(({ fromMm }) => fromMm),
      [0, ...stretches.slice(0, -1).map(({ toMm }) => toMm)],
    );
    assert.equal(stretches.at(-1)?.toMm, tieA.lengthMm);
    const [tail, around, , hang] = stretches;
    assert.ok(Math.abs(around!.toMm - around!.fromMm - 420) < 1e-9);
    assert.ok(Math.abs(hang!.toMm - hang!.fromMm - knot.tip.dropMm) < 0.02, 'what hangs is the tip’s drop');
    assert.ok(Math.abs(tail!.toMm - knot.start.set.dropMm) < 1e-9, 'the gap changes how it is read, not where it is held');
    assert.equal(atButtonMm, tail!.toMm);
  }
});

test('an end that comes out of its knot aside hangs in the middle further down', () => {
  const outline = endBelowKnot(tieA, 'blade', { asideMm: 7, widthMm: 24 }, 45, 450);
  const middleAt = (y: number) => {
    const across = outline.filter((point) => Math.abs(point[1] - y) < 1e-6).map(([x]) => x);
    return (Math.min(...across) + Math.max(...across)) / 2;
  };
  const heights = [...new Set(outline.map(([, y]) => y))].sort((a, b) => a - b);
  assert.ok(Math.abs(middleAt(heights[0] ?? 0) - 7) < 1e-6);
  for (const y of heights.slice(1)) assert.ok(Math.abs(middleAt(y)) <= (y > 45 + straightFromMm ? 1e-6 : 7), `${y}`);
});

test('of an end that hangs out of its picture only what is seen is drawn, and that as it was', () => {
  const foot = { asideMm: 0, widthMm: 30 };
  const whole = endBelowKnot(tieA, 'blade', foot, 45, 450);
  const shown = endBelowKnot(tieA, 'blade', foot, 45, 450, 170);
  assert.equal(Math.max(...shown.map(([, y]) => y)), 170);
  assert.ok(shown.length < whole.length / 2);
  const right = (outline: typeof whole) => outline.filter(([x]) => x > 0).sort((a, b) => a[1] - b[1]);
  const halfAt = (outline: typeof whole, y: number) => {
    const side = right(outline);
    const below = side.findIndex((point) => point[1] >= y);
    const [from, to] = [side[below - 1]!, side[below]!];
    return from[0] + ((to[0] - from[0]) * (y - from[1])) / (to[1] - from[1]);
  };
  for (const y of [60, 100, 169]) assert.ok(Math.abs(halfAt(shown, y) - halfAt(whole, y)) < 0.15, `at ${y} mm`);
  assert.deepEqual(endBelowKnot(tieA, 'blade', foot, 45, 450, 900), whole);
});

test('a tie’s outline keeps its measures, and its end hangs to the tip and no wider than it is', () => {
  fc.assert(
    fc.property(anyTie, (tie) => {
      const halves = halfWidths(tie, 0, tie.lengthMm).map(({ halfMm }) => halfMm);
      assert.ok(Math.abs(Math.max(...halves) - tie.bladeMm / 2) < 1e-6);
      const outline = endBelowKnot(tie, 'blade', { asideMm: 0, widthMm: 35 }, 45, 450);
      assert.equal(Math.max(...outline.map(([, y]) => y)), 450);
      assert.ok(Math.max(...outline.map(([x]) => Math.abs(x))) <= tie.bladeMm / 2);
    }),
  );
});
