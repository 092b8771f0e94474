import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { bandEdge, hiddenBy } from '../../src/core/collar/hides.ts';
import { completeRequest, plan } from '../../src/core/index.ts';
import { collarLeaves } from '../../src/drawing/collar/leaves.ts';
import { jacketFronts } from '../../src/drawing/jacket/fronts.ts';
import { buildOf, neckOf } from '../../src/drawing/wearer/build.ts';
import { FrontFigure } from '../../src/drawing/wearer/FrontFigure.tsx';
import { question } from '../support/ties.ts';

const jacket = { lapelMm: 85, lapelKind: 'notch', cut: 'single', waistcoat: false, worn: 'closed', buttoningMm: 330 } as const;
const build = buildOf({ heightMm: 1780, neckMm: 395, front: 'mens' }, 450);
const around = { neckMm: 395, beltY: 450, build } as const;
/** All x in an outline, in the order in which they are drawn. */
const xs = (path: string) => [...path.matchAll(/(-?[\d.]+)[ ,](-?[\d.]+)/g)].map(([, x]) => Number(x));

function figure(changes: { readonly front?: 'mens' | 'womens'; readonly view?: 'facing' | 'own' } = {}) {
  const asked = { ...question, client: { ...question.client, front: changes.front ?? 'mens' }, jacket };
  const [knot] = plan(asked).knots;
  assert.ok(knot);
  return renderToStaticMarkup(
    createElement(FrontFigure, {
      id: 'w',
      request: completeRequest(asked),
      plan: knot,
      stage: 'tied',
      view: changes.view ?? 'facing',
      cloth: { fabric: 'woven-silk', pattern: 'solid', colours: ['#8c2434'] },
      shirtColour: '#fefefe',
      jacketColour: '#222244',
    }),
  );
}

test('buttoned fronts overlap past the middle, the upper one painted last', () => {
  for (const over of [1, -1] as const) {
    const { fronts } = jacketFronts(jacket, { ...around, over, wearersLeft: 1 });
    assert.deepEqual(
      fronts.map(({ side }) => side),
      [-over, over],
    );
    for (const { side, front } of fronts) assert.ok(Math.min(...xs(front).map((x) => x * side)) < -10, 'each reaches past the middle');
  }
  const open = jacketFronts({ ...jacket, worn: 'open' }, { ...around, over: 1, wearersLeft: 1 });
  for (const { side, front } of open.fronts) assert.ok(Math.min(...xs(front).map((x) => x * side)) > 55, 'unbuttoned they hang beside it');
});

test('a man’s coat buttons left over right and a woman’s right over left, whichever way it is seen', () => {
  const upper = (markup: string) => {
    const last = markup.lastIndexOf('fill="url(#w-sider)"') > markup.lastIndexOf('fill="url(#w-sidel)"') ? 'right' : 'left';
    return `on the ${last} of the picture`;
  };
  // Facing the client, the wearer's left is on the right of the picture; in the mirror it is on the left.
  assert.equal(upper(figure()), 'on the right of the picture');
  assert.equal(upper(figure({ view: 'own' })), 'on the left of the picture');
  assert.equal(upper(figure({ front: 'womens' })), 'on the left of the picture');
  assert.equal(upper(figure({ front: 'womens', view: 'own' })), 'on the right of the picture');
});

test('the neck stands in the collar: painted over its inside, and under its leaves', () => {
  const markup = figure();
  const { inside, leaves } = collarLeaves(completeRequest(question).shirt, question.client.neckMm);
  const order = [inside, neckOf(build), leaves[0], leaves[1]].map((path) => markup.indexOf(`d="${path}"`));
  assert.ok(order.every((at) => at > 0));
  assert.deepEqual(
    [...order].sort((a, b) => a - b),
    order,
  );
});

test('the band is drawn where the model has it, so that what shows beside the knot is what is told', () => {
  const collars = fc.record({
    collarPointMm: fc.double({ min: 60, max: 90, noNaN: true }),
    share: fc.double({ min: 0.4, max: 0.95, noNaN: true }),
    tieSpaceMm: fc.double({ min: 3, max: 14, noNaN: true }),
    standMm: fc.double({ min: 26, max: 45, noNaN: true }),
    bandMm: fc.double({ min: 24, max: 40, noNaN: true }),
  });
  const [knot] = plan(question).knots;
  assert.ok(knot);
  fc.assert(
    fc.property(collars, ({ share, bandMm, ...of }) => {
      const collar = { ...of, collarSpreadMm: of.tieSpaceMm + 2 * of.collarPointMm * share };
      const { besideMm } = hiddenBy(collar, knot.shape, bandMm);
      if (besideMm === 0) return;
      const { from, slope } = bandEdge(collar, bandMm);
      const [, [tipX, tipY]] = collarLeaves(collar, 395).tips;
      // Along the leaf's drawn edge, the place where the band's drawn edge crosses it.
      const steps = 4000;
      const x = (i: number) => collar.tieSpaceMm / 2 + ((tipX - collar.tieSpaceMm / 2) * i) / steps;
      const at = Array.from({ length: steps }, (_, i) => i).find((i) => (tipY * i) / steps >= from - slope * x(i));
      assert.ok(at !== undefined);
      const { topMm, bottomMm, heightMm } = knot.shape;
      const half = (topMm - ((topMm - bottomMm) * Math.min(heightMm, (tipY * at) / steps)) / heightMm) / 2;
      assert.ok(Math.abs(x(at) - half - besideMm) < 0.5, `${x(at) - half} drawn, ${besideMm} told`);
    }),
  );
});

test('a taller body is longer, a heavier one broader at the waist than at the shoulder, a woman’s narrower there', () => {
  const of = (heightMm: number, neckMm: number, front: 'mens' | 'womens' = 'mens') =>
    buildOf({ heightMm, neckMm, front }, 0.255 * heightMm);
  const usual = of(1780, 395);
  assert.ok(of(1900, 395 * (1900 / 1780)).wristMm > usual.wristMm);
  const heavy = of(1780, 460);
  assert.ok(heavy.waist[0] / usual.waist[0] > heavy.shoulder[0] / usual.shoulder[0]);
  const women = of(1780, 395, 'womens');
  assert.ok(women.waist[0] < usual.waist[0] && women.hip[0] > usual.hip[0]);
});
