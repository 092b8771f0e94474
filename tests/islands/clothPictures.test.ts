import assert from 'node:assert/strict';
import test from 'node:test';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { supposeTie } from '../../src/core/index.ts';
import { mappedKnots } from '../../src/core/knotMap/mappedKnots.ts';
import { paintRequest } from '../../src/core/seen/paintRequest.ts';
import { weaves } from '../../src/core/seen/weave.ts';
import { KnotTable } from '../../src/islands/knots/KnotTable.tsx';
import { useTurning } from '../../src/islands/seen/useTurning.ts';

const size = { widthPx: 420, heightPx: 400, heightMm: 160 } as const;
const silk = { fabric: 'woven-silk', pattern: 'stripe', colours: ['#102030', '#ffeedd'] } as const;

test('a picture is painted to scale, in the tie’s colours and pattern, from the side it is turned to', () => {
  const request = paintRequest(silk, size, 40, 'right');
  assert.equal(request.pxPerMm, 2.5);
  assert.deepEqual(request.colours, [
    [16, 32, 48],
    [255, 238, 221],
  ]);
  assert.equal(request.weave, weaves.stripe);
  assert.equal(request.turnDeg, 40);
  assert.ok(request.facing);
  assert.ok(!paintRequest(silk, size, 40, 'left').facing, 'started on the left it is a mirror image');
});

test('one colour stands for both where a tie has but one; silk shines more than wool', () => {
  const plain = paintRequest({ ...silk, colours: ['#102030'] }, size, 0, 'right');
  assert.deepEqual(plain.colours[0], plain.colours[1]);
  assert.ok(paintRequest(silk, size, 0, 'right').sheen > paintRequest({ ...silk, fabric: 'wool' }, size, 0, 'right').sheen);
});

/** What the hook makes of keys and drags, without a page. */
function turned(turn: number, act: (turning: ReturnType<typeof useTurning>) => void): number[] {
  const told: number[] = [];
  renderToStaticMarkup(createElement(Turned, { turn, act, told }));
  return told;
}

interface TurnedProps {
  readonly turn: number;
  readonly act: (turning: ReturnType<typeof useTurning>) => void;
  readonly told: number[];
}

function Turned({ turn, act, told }: TurnedProps) {
  const turning = useTurning('pratt', turn, (degrees) => told.push(degrees));
  act(turning);
  return createElement('i', { 'aria-label': turning['aria-label'] });
}
const key = (name: string) =>
  ({ key: name, preventDefault: () => undefined }) as unknown as Parameters<ReturnType<typeof useTurning>['onKeyDown']>[0];

test('arrow keys turn by ten degrees and past half a round; Home turns to the front; other keys are let be', () => {
  assert.deepEqual(
    turned(0, (turning) => turning.onKeyDown(key('ArrowRight'))),
    [10],
  );
  assert.deepEqual(
    turned(0, (turning) => turning.onKeyDown(key('ArrowLeft'))),
    [-10],
  );
  assert.deepEqual(
    turned(175, (turning) => turning.onKeyDown(key('ArrowRight'))),
    [-175],
  );
  assert.deepEqual(
    turned(-175, (turning) => turning.onKeyDown(key('ArrowLeft'))),
    [175],
  );
  assert.deepEqual(
    turned(70, (turning) => turning.onKeyDown(key('Home'))),
    [0],
  );
  assert.deepEqual(
    turned(70, (turning) => turning.onKeyDown(key('a'))),
    [],
  );
});

test('dragging turns with the hand, and only while it holds', () => {
  const at = (clientX: number) =>
    ({ clientX, pointerId: 1, currentTarget: { setPointerCapture: () => undefined } }) as unknown as Parameters<
      ReturnType<typeof useTurning>['onPointerDown']
    >[0];
  assert.deepEqual(
    turned(0, (turning) => turning.onPointerMove(at(50))),
    [],
    'nothing is held',
  );
  const dragged = turned(0, (turning) => {
    turning.onPointerDown(at(100));
    turning.onPointerMove(at(150));
    turning.onPointerUp();
    turning.onPointerMove(at(250));
  });
  assert.deepEqual(dragged, [30]);
});

test('the side that is seen is told in words', () => {
  const said = (turn: number) => {
    let text = '';
    turned(turn, (turning) => {
      text = turning['aria-valuetext'];
    });
    return text;
  };
  assert.equal(said(0), 'from the front');
  assert.equal(said(40), 'from the wearer’s right, half turned');
  assert.equal(said(-90), 'from the wearer’s left');
  assert.equal(said(170), 'from behind');
});

test('the list shows a picture beside every knot that has one', () => {
  const knots = mappedKnots({
    client: { heightMm: 1780, neckMm: 395, frontDropMm: 455 },
    tie: supposeTie({ lengthMm: 1470, bladeMm: 85, thicknessMm: 3.2 }),
    search: { knots: 'named' },
  });
  const pictured = new Set(knots.slice(0, 4).map(({ code }) => code));
  const markup = renderToStaticMarkup(
    createElement(KnotTable, {
      knots,
      chosen: undefined,
      colour: '#405060',
      frame: { view: 'facing', blade: 'right' },
      pictureOf: (code) =>
        pictured.has(code)
          ? { href: 'blob:sheet', sheetPx: [100, 100], cellPx: [0, 0, 50, 50], pxPerMm: 1, topPx: 5, topMm: 40, heightMm: 36 }
          : undefined,
      units: 'cm',
      onChoose: () => undefined,
    }),
  );
  assert.equal(markup.match(/<image href="blob:sheet"/g)?.length, pictured.size);
  assert.equal(markup.match(/fill="#405060"/g)?.length, knots.length - pictured.size);
});
