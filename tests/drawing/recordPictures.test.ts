import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { type CollarStyleCode, collarStyles } from '../../src/core/collar/styles.ts';
import { completeRequest } from '../../src/core/index.ts';
import { jacketCuts, jacketWorn, lapelKinds } from '../../src/core/jacket/jackets.ts';
import { measures } from '../../src/core/measures/measures.ts';
import { patternCodes } from '../../src/core/tie/patterns.ts';
import { CollarSheet } from '../../src/drawing/collar/CollarSheet.tsx';
import { HowTo } from '../../src/drawing/howto/HowTo.tsx';
import { JacketSheet } from '../../src/drawing/jacket/JacketSheet.tsx';
import { FlatTie, widthScale } from '../../src/drawing/tie/FlatTie.tsx';
import { FoldedSquare } from '../../src/drawing/wardrobe/FoldedSquare.tsx';
import { BodyFigure } from '../../src/drawing/wearer/BodyFigure.tsx';
import { anyTie } from '../support/arbitrary.ts';
import { question, tieA } from '../support/ties.ts';

const request = completeRequest(question);
const paint = renderToStaticMarkup;
const sound = (picture: string) => assert.doesNotMatch(picture, /NaN|Infinity|undefined/);

test('every collar that has a name is drawn as it is measured, in every pattern', () => {
  for (const code of Object.keys(collarStyles) as CollarStyleCode[]) {
    for (const pattern of patternCodes) {
      const colours = ['#f6f7f9', '#8fa3ad'];
      const picture = paint(
        createElement(CollarSheet, { id: 'c', collar: collarStyles[code], neckMm: 395, units: 'cm', colours, pattern }),
      );
      sound(picture);
      assert.match(picture, /aria-label="Collar, /);
    }
  }
  const inches = paint(
    createElement(CollarSheet, { id: 'c', collar: collarStyles.point, neckMm: 395, units: 'in', colours: ['#ffffff'], pattern: 'solid' }),
  );
  assert.match(inches, /points 3 in long, 2 3\/4 in apart/);
});

test('a collar without a measured stand shows none', () => {
  const of = (standMm: number | null) =>
    paint(
      createElement(CollarSheet, {
        id: 'c',
        collar: { ...collarStyles.point, standMm },
        neckMm: 395,
        units: 'cm',
        colours: ['#ffffff'],
        pattern: 'solid',
      }),
    );
  assert.ok(of(34).length > of(null).length);
});

test('a tie lies flat as long as it is, with every measure told', () => {
  fc.assert(
    fc.property(anyTie, (tie) => {
      const cloth = { fabric: tie.fabric, pattern: tie.pattern, colours: ['#23406b'] };
      const picture = paint(createElement(FlatTie, { id: 'f', tie, cloth, units: 'cm' }));
      sound(picture);
      const outline = /<path d="M([^"]*)Z" fill="url/.exec(picture)?.[1] ?? '';
      const points = outline.split('L').map((pair) => pair.split(',').map(Number) as [number, number]);
      const xs = points.map(([x]) => x);
      const ys = points.map(([, y]) => y);
      assert.ok(Math.abs(Math.max(...xs) - Math.min(...xs) - tie.lengthMm) < 0.2);
      assert.ok(Math.abs(Math.max(...ys) - Math.min(...ys) - widthScale * tie.bladeMm) < 0.3);
    }),
    { numRuns: 40 },
  );
});

test('every kind of jacket is drawn, open and closed, with what it leaves open', () => {
  for (const lapelKind of Object.keys(lapelKinds) as (keyof typeof lapelKinds)[]) {
    for (const cut of Object.keys(jacketCuts) as (keyof typeof jacketCuts)[]) {
      for (const worn of Object.keys(jacketWorn) as (keyof typeof jacketWorn)[]) {
        const jacket = { lapelMm: 90, waistcoat: worn === 'open', lapelKind, cut, worn, buttoningMm: null };
        const picture = paint(
          createElement(JacketSheet, { id: 'j', request: { ...request, jacket }, shirtColour: '#ffffff', jacketColour: '#222244' }),
        );
        sound(picture);
        assert.match(picture, /≈ 33/, 'a supposed buttoning point is told as about');
      }
    }
  }
  assert.equal(
    paint(createElement(JacketSheet, { id: 'j', request: { ...request, jacket: null }, shirtColour: '#ffffff', jacketColour: '#222244' })),
    '',
  );
});

test('a front that no tape measured shows how far it may be off, a measured one does not', () => {
  const of = (client: Partial<typeof request.client>) =>
    paint(
      createElement(BodyFigure, {
        id: 'b',
        request: { ...request, client: { ...request.client, ...client } },
        shirtColour: '#ffffff',
        jacketColour: null,
      }),
    );
  const taped = of({});
  const supposed = of({ frontDropMm: null });
  const womens = of({ frontDropMm: null, front: 'womens' });
  assert.match(taped, /measured with a tape/);
  assert.match(supposed, /estimated, ±2 cm/);
  assert.match(womens, /estimated, ±3 cm/);
  assert.ok(!taped.includes('≈') && supposed.includes('≈'));
  const band = (picture: string) => Number(/height="(\d+)" fill="var\(--color-follows\)"/.exec(picture)?.[1]);
  assert.deepEqual([band(supposed), band(womens)], [40, 60]);
});

test('a square is folded with its colours as wide as their shares', () => {
  const picture = paint(createElement(FoldedSquare, { cloth: { colours: ['#c89b3c', '#2b4c7e'], shares: [75, 25] } }));
  sound(picture);
  assert.match(picture, /M6 58/);
  assert.match(picture, /M72 58/, 'the second begins three quarters of the way');
});

test('every length that is asked for has its own small drawing, and no two of a thing are alike', () => {
  for (const of of ['client', 'shirt', 'jacket', 'tie'] as const) {
    // The loops are not asked for on any form yet.
    const asked = Object.keys(measures[of]).filter((measure) => !/LoopMm$/.test(measure));
    const drawn = asked.map((measure) => paint(createElement(HowTo, { of, measure })));
    for (const picture of drawn) {
      assert.match(picture, /^<svg/);
      sound(picture);
    }
    assert.equal(new Set(drawn).size, drawn.length);
  }
  assert.equal(paint(createElement(HowTo, { of: 'tie', measure: 'weightKg' })), '');
});

test('a profile changes the outline of the tie that is drawn', () => {
  const of = (profile: { atMm: number; widthMm: number }[]) =>
    paint(
      createElement(FlatTie, {
        id: 'f',
        tie: { ...tieA, profile },
        cloth: { fabric: 'wool', pattern: 'solid', colours: ['#333333'] },
        units: 'cm',
      }),
    );
  assert.notEqual(of([{ atMm: 400, widthMm: 45 }]), of([]));
});
