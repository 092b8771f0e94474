import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { collarStyles } from '../../../src/core/collar/styles.ts';
import { plan } from '../../../src/core/index.ts';
import { buttoningPoint, frontEdge, openingAt, pointsUnderFronts } from '../../../src/core/jacket/opening.ts';
import { question } from '../../support/ties.ts';

const closed = { worn: 'closed', buttoningMm: 330 } as const;

test('the opening narrows to nothing at the button of a closed jacket, and not of an open one', () => {
  const edge = frontEdge(closed, 395, 450);
  assert.equal(openingAt(edge, 330), 0);
  assert.equal(openingAt(edge, 400), 0);
  fc.assert(fc.property(fc.integer({ min: 0, max: 329 }), (y) => assert.ok(openingAt(edge, y) > openingAt(edge, y + 1))));
  assert.ok(openingAt(frontEdge({ ...closed, worn: 'open' }, 395, 450), 330) > 50);
});

test('a buttoning point that was not measured is supposed from the belt', () => {
  assert.equal(buttoningPoint(closed, 450), 330);
  const supposed = buttoningPoint({ worn: 'closed', buttoningMm: null }, 450);
  assert.ok(supposed > 280 && supposed < 400);
});

test('a wide spread’s points reach under the fronts, a point collar’s lie open', () => {
  const edge = frontEdge(closed, 395, 450);
  assert.ok(pointsUnderFronts(collarStyles['wide-spread'], edge) > 3);
  assert.ok(pointsUnderFronts(collarStyles.point, edge) < -10);
  assert.ok(Math.abs(pointsUnderFronts(collarStyles['semi-spread'], edge)) < 6, 'a semi-spread’s about meet them');
});

test('the plan says so, for a buttoned jacket only, and takes the tip as hidden', () => {
  const asked = (worn: 'open' | 'closed') =>
    plan({ ...question, shirt: collarStyles.point, jacket: { lapelMm: 85, worn, buttoningMm: 330 } });
  const codes = (worn: 'open' | 'closed') => asked(worn).advice.map(({ code }) => code);
  assert.ok(codes('closed').includes('points-outside'));
  assert.ok(!codes('open').includes('points-outside'));
  const landing = asked('closed').knots[0]!.reasons.find(({ code }) => code === 'landing');
  assert.match(landing!.text, /The buttoned jacket hides the tip/);
});
