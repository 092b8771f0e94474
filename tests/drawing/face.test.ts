import assert from 'node:assert/strict';
import test from 'node:test';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { completeRequest, ownRight, plan } from '../../src/core/index.ts';
import { knotFace } from '../../src/drawing/knot/face.ts';
import { KnotMark } from '../../src/drawing/knot/KnotSilhouette.tsx';
import { TiedKnot } from '../../src/drawing/knot/TiedKnot.tsx';
import { walkLayout } from '../../src/drawing/walk/stretches.ts';
import { question } from '../support/ties.ts';

const asked = { ...question, taste: { knots: 'all', manner: 'any' } } as const;
const { knots } = plan(asked);
const request = completeRequest(asked);
const cloth = { fabric: 'woven-silk', pattern: 'solid', colours: ['#123456'] } as const;
const named = (name: string) => knots.find(({ names }) => names[0] === name);

test('every layer has a place, and its edges lie on its strip', () => {
  for (const { moves, shape } of knots) {
    const { layers } = knotFace(moves, shape, ownRight);
    assert.equal(new Set(layers.map(({ key }) => key)).size, layers.length, moves);
    for (const { strip, edges } of layers) {
      assert.match(strip, /^M[-\d. ]+Q[-\d. ]+L[-\d. QL]+Z$/);
      assert.ok(strip.startsWith(edges.split(' Q')[0] ?? 'nothing'));
      assert.ok(!/NaN|undefined/.test(strip + edges));
    }
  }
});

test('a panel has no edge below and no shade under it, a tucked knot has both', () => {
  const paint = (name: string) => {
    const knot = named(name);
    assert.ok(knot);
    return renderToStaticMarkup(
      createElement(
        'svg',
        null,
        createElement(TiedKnot, { id: 'k', word: knot.moves, shape: knot.shape, frame: ownRight, cloth, sheen: 0.5 }),
      ),
    );
  };
  assert.match(paint('Four-in-hand'), /url\(#k-knot-under\)/);
  assert.doesNotMatch(paint('Four-in-hand (open front)'), /fill="url\(#k-knot-under\)"/);
  assert.match(paint('Four-in-hand (open front)'), /stroke-opacity="0"/);
});

test('a mark is the outline in one colour, with the edge that lies on top', () => {
  for (const name of ['Four-in-hand', 'Windsor (open front)', 'Victoria (tail ties, hidden)']) {
    const knot = named(name);
    assert.ok(knot, name);
    const mark = renderToStaticMarkup(
      createElement(
        'svg',
        null,
        createElement(KnotMark, {
          word: knot.moves,
          shape: knot.shape,
          frame: ownRight,
          colour: '#123456',
          picture: undefined,
          edge: '#fff',
          edgeWidth: 1,
        }),
      ),
    );
    assert.equal(mark.match(/<path/g)?.length, 2, name);
    assert.match(mark, /fill="#123456"/);
  }
});

test('tied with the narrow end, the stretches are told from its tip: hidden, knotted, around, hanging', () => {
  for (const knot of knots.filter(({ properties, feasible }) => properties.active === 'narrow' && feasible)) {
    const { stretches, atButtonMm } = walkLayout(request, knot);
    assert.deepEqual(
      stretches.map(({ code }) => code),
      ['tail', 'take-up', 'around', 'hang'],
    );
    assert.equal(stretches[0]?.label, 'under the collar');
    assert.ok(stretches.every(({ fromMm, toMm }, i) => toMm > fromMm && fromMm === (stretches[i - 1]?.toMm ?? 0)));
    assert.equal(stretches.at(-1)?.toMm, request.tie.lengthMm);
    assert.equal(atButtonMm, knot.start.tailDropMm);
  }
});
