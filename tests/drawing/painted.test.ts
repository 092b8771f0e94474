import assert from 'node:assert/strict';
import test from 'node:test';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { completeRequest, type KnotPlan, ownRight, plan } from '../../src/core/index.ts';
import { fabricCodes } from '../../src/core/tie/fabrics.ts';
import { patternCodes } from '../../src/core/tie/patterns.ts';
import { buyingBrief } from '../../src/core/wardrobe/buyingBrief.ts';
import { BriefWindow } from '../../src/drawing/brief/BriefWindow.tsx';
import { FabricDefs } from '../../src/drawing/fabric/FabricDefs.tsx';
import { KnotSilhouette } from '../../src/drawing/knot/KnotSilhouette.tsx';
import { Walk } from '../../src/drawing/walk/Walk.tsx';
import { HangingTie } from '../../src/drawing/wardrobe/HangingTie.tsx';
import { TieOnLapel } from '../../src/drawing/wardrobe/TieOnLapel.tsx';
import { CollarCloseUp } from '../../src/drawing/wearer/CollarCloseUp.tsx';
import { FrontFigure } from '../../src/drawing/wearer/FrontFigure.tsx';
import { question, tieA } from '../support/ties.ts';

const request = completeRequest(question);
const { knots } = plan(question);
const cloth = { fabric: 'woven-silk', pattern: 'stripe', colours: ['#23406b', '#c9a557'] } as const;
const worn = { id: 'd', request, view: 'facing', cloth, shirtColour: '#ffffff', jacketColour: '#222244' } as const;
const front = (knot: KnotPlan, changes: object = {}) =>
  renderToStaticMarkup(createElement(FrontFigure, { ...worn, plan: knot, stage: 'tied', ...changes }));
const closeUp = (knot: KnotPlan, changes: object = {}) =>
  renderToStaticMarkup(createElement(CollarCloseUp, { ...worn, plan: knot, ...changes }));
const walk = (knot: KnotPlan) => renderToStaticMarkup(createElement(Walk, { id: 'w', request, plan: knot, cloth, aspect: 0.18 }));

test('every drawing paints every knot without a figure that is none', () => {
  for (const knot of plan({ ...question, taste: { knots: 'all' } }).knots) {
    for (const picture of [front(knot), front(knot, { stage: 'hung' }), closeUp(knot), walk(knot)]) {
      assert.doesNotMatch(picture, /NaN|Infinity|undefined/);
    }
  }
});

test('the same numbers paint the same picture, ids included', () => {
  const [knot] = knots;
  assert.ok(knot);
  assert.equal(front(knot), front(knot));
  assert.equal(closeUp(knot), closeUp(knot));
  assert.equal(walk(knot), walk(knot));
});

test('each drawing says in words what it shows', () => {
  const knot = knots.find(({ moves }) => moves === 'Li Ro Li Co T')!;
  assert.match(
    front(knot),
    /aria-label="Front view, tied: the blade tip should end 45 cm below the collar button \(±2\.5 cm\)\. Belt top 45 cm/,
  );
  assert.match(front(knot, { stage: 'hung' }), /aria-label="Front view, before tying, snug at the button: the tail tip hangs 41\.5 cm/);
  assert.match(
    closeUp(knot),
    /aria-label="Close-up of collar and knot: Four-in-hand, 4\.\d cm wide .* covering \d+% .* semi-spread collar/,
  );
  assert.match(
    walk(knot),
    /aria-label="The tie laid flat, from the tail tip: tail 41\.5 cm, around the neck 42 cm, taken up by the knot 18\.5 cm, hangs 45 cm/,
  );
});

test('words are never mirrored, and say whose side is which', () => {
  const [knot] = knots;
  assert.ok(knot);
  const sides = (view: 'facing' | 'own') => [...front(knot, { view }).matchAll(/>(wearer’s (?:left|right))</g)].map(([, side]) => side);
  assert.deepEqual(sides('facing'), ['wearer’s right', 'wearer’s left']);
  assert.deepEqual(sides('own'), ['wearer’s left', 'wearer’s right']);
  assert.doesNotMatch(front(knot, { view: 'own' }), /scale\(-1/);
});

test('a swamped collar is marked in the ink for what falls outside', () => {
  const swamped = plan({ ...question, shirt: { ...question.shirt, collarSpreadMm: 70, tieSpaceMm: 5 } });
  const narrow = completeRequest({ ...question, shirt: { ...question.shirt, collarSpreadMm: 70, tieSpaceMm: 5 } });
  assert.match(closeUp(swamped.knots[0]!, { request: narrow }), /color-outside/);
  assert.doesNotMatch(closeUp(knots[0]!), /color-outside/);
});

test('a waistcoat hides the blade and shows where it is', () => {
  const asked = { ...question, jacket: { lapelMm: 85, waistcoat: true } };
  const dressed = front(plan(asked).knots[0]!, { request: completeRequest(asked) });
  assert.match(dressed, /stroke-dasharray="5 5"/);
  const hung = front(plan(asked).knots[0]!, { request: completeRequest(asked), stage: 'hung' });
  assert.equal(hung.match(/fill="#0006"/g), null, 'both ends are hung before it is closed');
  assert.doesNotMatch(front(knots[0]!), /stroke-dasharray="5 5"/);
});

test('without a jacket no jacket is painted', () => {
  const asked = { ...question, jacket: null };
  const bare = front(plan(asked).knots[0]!, { request: completeRequest(asked), jacketColour: null });
  assert.doesNotMatch(bare, /#222244/);
});

test('every cloth paints, in its own colours and in each direction a band runs', () => {
  for (const fabric of fabricCodes) {
    for (const pattern of patternCodes) {
      const painted = renderToStaticMarkup(
        createElement(FabricDefs, { id: 'c', cloth: { fabric, pattern, colours: ['#123456', '#abcdef'] } }),
      );
      for (const run of ['down', 'across', 'aside']) assert.match(painted, new RegExp(`id="c-${run}"`));
      assert.match(painted, /#123456/);
      assert.equal(/#abcdef/.test(painted), pattern !== 'solid', `${fabric} ${pattern}`);
    }
  }
});

test('small marks are left out of what is read aloud', () => {
  const knot = knots[0]!;
  const silhouette = createElement(KnotSilhouette, {
    word: knot.moves,
    shape: knot.shape,
    frame: ownRight,
    colour: '#123456',
    picture: undefined,
  });
  assert.match(renderToStaticMarkup(silhouette), /aria-hidden="true"/);
  const onLapel = (lapelMm: number | undefined) => renderToStaticMarkup(createElement(TieOnLapel, { id: 'l', tie: tieA, cloth, lapelMm }));
  assert.match(onLapel(84), /height="84"/, 'the lapel lies beneath, as wide as it is');
  assert.doesNotMatch(onLapel(undefined), /color-set/);
  assert.match(renderToStaticMarkup(createElement(HangingTie, { id: 'h', tie: tieA, cloth })), /aria-hidden="true"/);
});

test('the buying window marks what serves, the lapel, and the tie looked at', () => {
  const { tie: _, ...rest } = question;
  const brief = buyingBrief({ question: rest, shirtColour: '#ffffff' });
  const painted = renderToStaticMarkup(
    createElement(BriefWindow, { brief, units: 'cm', lapelMm: 85, tie: { bladeMm: 80, thicknessMm: 3 } }),
  );
  assert.match(painted, /aria-label="Ties that would serve: blade 6 cm or more, thickness any/);
  assert.match(painted, />lapel</);
  assert.match(painted, /data-testid="looked-at"/);
  const serving = brief.cells.filter(({ knots: named }) => named.length > 0).length;
  assert.equal([...painted.matchAll(/fill="var\(--color-follows\)"/g)].length, serving);
});
