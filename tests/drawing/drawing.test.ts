import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { completeRequest, plan } from '../../src/core/index.ts';
import { collarLeaves } from '../../src/drawing/collar/leaves.ts';
import { jacketFronts } from '../../src/drawing/jacket/fronts.ts';
import { knotFace } from '../../src/drawing/knot/face.ts';
import { endBelowKnot, halfWidths } from '../../src/drawing/tie/outline.ts';
import { walkLayout } from '../../src/drawing/walk/stretches.ts';
import { anyTie } from '../support/arbitrary.ts';
import { question, tieA } from '../support/ties.ts';

const { knots } = plan({ ...question, taste: { knots: 'all' } });

test('a knot is drawn at the core’s own measures, the larger flank on its own side', () => {
  for (const { shape } of knots) {
    for (const view of ['facing', 'own'] as const) {
      const { topLeft, topRight, bottomLeft, bottomRight } = knotFace(shape, view, 0).corners;
      assert.ok(Math.abs(topRight[0] - topLeft[0] - shape.topMm) < 1e-9);
      assert.ok(Math.abs(bottomRight[0] - bottomLeft[0] - shape.bottomMm) < 1e-9);
      assert.equal(bottomLeft[1], shape.heightMm);
      const leftFlank = (view === 'own' ? -topLeft[0] : topRight[0]) - shape.middleMm / 2;
      assert.ok(Math.abs(leftFlank - shape.leftFlankMm) < 1e-9, 'the wearer’s left');
    }
  }
});

test('the two views of a knot are mirror images', () => {
  for (const { shape } of knots) {
    const facing = knotFace(shape, 'facing', 0).corners;
    const own = knotFace(shape, 'own', 0).corners;
    assert.deepEqual([-facing.topLeft[0], facing.topLeft[1]], [own.topRight[0], own.topRight[1]]);
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
        const [from, to] = jacketFronts(jacket, 450, 560, 395).measure;
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
    assert.ok(Math.abs(tail!.toMm - knot.tail.dropMm) < 1e-9);
    assert.ok(Math.abs(atButtonMm - (tail!.toMm - 20)) < 1e-9);
  }
});

test('a tie’s outline keeps its measures, and its end hangs to the tip and no wider than it is', () => {
  fc.assert(
    fc.property(anyTie, (tie) => {
      const halves = halfWidths(tie, 0, tie.lengthMm).map(({ halfMm }) => halfMm);
      assert.ok(Math.abs(Math.max(...halves) - tie.bladeMm / 2) < 1e-6);
      const outline = endBelowKnot(tie, 'blade', 35, 45, 450);
      assert.equal(Math.max(...outline.map(([, y]) => y)), 450);
      assert.ok(Math.max(...outline.map(([x]) => Math.abs(x))) <= tie.bladeMm / 2);
    }),
  );
});
