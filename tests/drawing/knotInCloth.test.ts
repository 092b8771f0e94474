import assert from 'node:assert/strict';
import test from 'node:test';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { completeRequest, frames, supposeTie } from '../../src/core/index.ts';
import { mappedKnots } from '../../src/core/knotMap/mappedKnots.ts';
import { KnotInCloth } from '../../src/drawing/knot/KnotInCloth.tsx';
import { KnotMark } from '../../src/drawing/knot/KnotSilhouette.tsx';
import type { KnotPicture } from '../../src/drawing/knot/picture.ts';
import { CollarCloseUp } from '../../src/drawing/wearer/CollarCloseUp.tsx';

const picture: KnotPicture = {
  href: 'blob:a-sheet',
  sheetPx: [1500, 1260],
  cellPx: [300, 140, 150, 140],
  pxPerMm: 1.4,
  topPx: 14,
  topMm: 50,
  heightMm: 40,
};
const square = { topMm: 50, heightMm: 40 };
const question = {
  client: { heightMm: 1780, neckMm: 395, frontDropMm: 455 },
  tie: supposeTie({ lengthMm: 1470, bladeMm: 85, thicknessMm: 3.2 }),
  taste: { knots: 'all' },
} as const;
const [knot] = mappedKnots(question);
assert.ok(knot);
const inSvg = (element: Parameters<typeof renderToStaticMarkup>[0]) => renderToStaticMarkup(createElement('svg', null, element));
const scaleOf = (markup: string) => (/scale\((-?[\d.]+) ([\d.]+)\)/.exec(markup) ?? []).slice(1).map(Number);

test('a picture is as wide at the top and as high as the knot comes out, its upper edge at the button', () => {
  for (const [topMm, heightMm] of [
    [30, 30],
    [50, 36],
    [80, 60],
  ] as const) {
    const markup = inSvg(createElement(KnotInCloth, { picture, shape: { topMm, heightMm }, frame: { view: 'own', blade: 'right' } }));
    const [across = 0, down = 0] = scaleOf(markup);
    assert.ok(Math.abs(across * picture.pxPerMm * picture.topMm - topMm) < 1e-9);
    assert.ok(Math.abs(down * picture.pxPerMm * picture.heightMm - heightMm) < 1e-9);
    assert.match(markup, /translate\(-75 -14\)/);
  }
});

test('a picture of other proportions is not drawn out beyond what a knot could be', () => {
  for (const heightMm of [5, 200]) {
    const shape = { topMm: 50, heightMm };
    const [across = 0, down = 0] = scaleOf(inSvg(createElement(KnotInCloth, { picture, shape, frame: { view: 'own', blade: 'right' } })));
    assert.ok(Math.abs(Math.abs(Math.log(down / across)) - Math.log(1.4)) < 1e-9);
  }
});

test('only its own cell is shown, less a rim', () => {
  const markup = inSvg(createElement(KnotInCloth, { picture, shape: square, frame: { view: 'own', blade: 'right' } }));
  assert.match(markup, /viewBox="302 142 146 136"/);
  assert.match(markup, /<image href="blob:a-sheet" width="1500" height="1260"/);
});

test('one who faces the client sees the other side of his mirror, and so does one whose blade starts on the left', () => {
  const mirrored = frames.map(
    (frame) =>
      [
        frame.view === 'facing',
        frame.blade === 'left',
        (scaleOf(inSvg(createElement(KnotInCloth, { picture, shape: square, frame })))[0] ?? 0) < 0,
      ] as const,
  );
  for (const [facing, left, isMirrored] of mirrored) assert.equal(isMirrored, facing !== left);
  assert.equal(mirrored.filter(([, , isMirrored]) => isMirrored).length, 2);
});

test('a mark is the picture where there is one, and the outline in its colour where there is none', () => {
  const mark = (of: KnotPicture | undefined) =>
    inSvg(
      createElement(KnotMark, {
        word: knot.plan.moves,
        shape: knot.plan.shape,
        frame: { view: 'facing', blade: 'right' },
        colour: '#405060',
        picture: of,
        edge: '#fff',
        edgeWidth: 1,
      }),
    );
  assert.match(mark(picture), /<image/);
  assert.doesNotMatch(mark(picture), /#405060/);
  assert.match(mark(undefined), /<path[^>]*fill="#405060"/);
});

const closeUp = (of: KnotPicture | undefined, view: 'own' | 'facing' = 'facing') =>
  renderToStaticMarkup(
    createElement(CollarCloseUp, {
      id: 'near',
      request: completeRequest(question),
      plan: knot.plan,
      view,
      cloth: { fabric: 'woven-silk', pattern: 'stripe', colours: ['#203040', '#d0c0a0'] },
      shirtColour: '#ffffff',
      jacketColour: null,
      picture: of,
    }),
  );

test('on the figure the picture takes the place of the drawn knot, and the measures stay', () => {
  const [pictured, drawn] = [closeUp(picture), closeUp(undefined)];
  assert.match(pictured, /<image href="blob:a-sheet"/);
  assert.doesNotMatch(pictured, /data-measure="knot-outline"/);
  assert.match(drawn, /data-measure="knot-outline"/);
  const label = (markup: string) => /aria-label="(Close-up[^"]*)"/.exec(markup)?.[1];
  assert.equal(label(pictured), label(drawn));
  assert.ok(label(drawn)?.includes('% of the edge'));
});

test('on the figure the blade comes out of the picture’s foot, on the side where that stands', () => {
  const topOfBlade = (of: KnotPicture | undefined, view: 'own' | 'facing') => {
    const outline = /<polygon points="([^"]*)" fill="url\(#near-blade-round\)"/.exec(closeUp(of, view))?.[1] ?? '';
    const points = [...outline.matchAll(/(-?[\d.]+)[, ](-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const);
    const top = Math.min(...points.map(([, y]) => y));
    const across = points.filter(([, y]) => y < top + 0.01).map(([x]) => x);
    return [Math.min(...across), Math.max(...across)] as const;
  };
  const scale = knot.plan.shape.topMm / picture.topMm;
  const footed: KnotPicture = { ...picture, footMm: [-2, 16] };
  const near = (found: readonly number[], wanted: readonly number[]) =>
    assert.ok(
      found.every((mm, i) => Math.abs(mm - (wanted[i] ?? 0)) < 1),
      `${found} for ${wanted}`,
    );
  near(topOfBlade(footed, 'own'), [-2 * scale, 16 * scale]);
  near(topOfBlade(footed, 'facing'), [-16 * scale, 2 * scale]);
  const [from, to] = topOfBlade(picture, 'own');
  assert.ok(Math.abs(from + to) < 0.01);
  near([to - from], [0.96 * knot.plan.shape.bottomMm]);
});
