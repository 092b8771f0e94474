import assert from 'node:assert/strict';
import test from 'node:test';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { type MapAxis, type MapAxisCode, mapAxes, mappedKnots } from '../../src/core/knotMap/mappedKnots.ts';
import { KnotsPlaced, type Placed } from '../../src/drawing/knotMap/KnotsPlaced.tsx';
import { question } from '../support/ties.ts';

const knots = mappedKnots(question);
const size = { width: 860, height: 470 };

function paint(changes: Partial<Parameters<typeof KnotsPlaced>[0]> & { x?: MapAxisCode; y?: MapAxisCode } = {}): string {
  const { x = 'size', y = 'lean', ...rest } = changes;
  const xAxis: MapAxis = mapAxes[x];
  const yAxis: MapAxis = mapAxes[y];
  const spread = (axis: MapAxis, from: number, to: number) => {
    const values = knots.map(axis.of);
    const [low, high] = [Math.min(...values), Math.max(...values)];
    return (value: number) => from + ((value - low) / (high - low || 1)) * (to - from);
  };
  const [atX, atY] = [spread(xAxis, 150, 800), spread(yAxis, 400, 40)];
  const placed = knots.map((knot): Placed => ({ knot, x: atX(xAxis.of(knot)), y: atY(yAxis.of(knot)) }));
  return renderToStaticMarkup(
    createElement(
      'svg',
      null,
      createElement(KnotsPlaced, {
        ...size,
        placed,
        scale: 0.6,
        frame: { view: 'facing', blade: 'right' },
        xAxis,
        yAxis,
        xTicks: [{ value: 45, at: 400 }],
        yTicks: [{ value: 0, at: 200 }],
        zone: { along: 'x', from: 300, to: 500 },
        chosen: '4.1',
        marked: new Set(['8.7']),
        colour: '#8c2230',
        pictureOf: () => undefined,
        units: 'cm',
        onChoose: () => undefined,
        idOf: (code: string) => `k-${code.replace('.', '-')}`,
        ...rest,
      }),
    ),
  );
}

test('every knot is painted once, named for those who do not see it, whatever it is laid out by', () => {
  for (const x of Object.keys(mapAxes) as MapAxisCode[]) {
    for (const y of ['lean', 'moves'] as const) {
      const picture = paint({ x, y });
      assert.doesNotMatch(picture, /NaN|Infinity|undefined/);
      assert.equal(picture.match(/role="option"/g)?.length, 85);
      assert.match(picture, /aria-label="Four-in-hand: /);
    }
  }
});

test('only the chosen knot is framed, and said to be chosen', () => {
  const frames = (picture: string) => picture.match(/<rect[^>]*fill="none"/g)?.length ?? 0;
  assert.equal(frames(paint()), 1);
  assert.equal(frames(paint({ chosen: undefined })), 0);
  assert.equal(paint().match(/aria-selected="true"/g)?.length, 1);
});

test('what is laid aside is underlined', () => {
  const marked = /data-code="8\.7"[\s\S]*?<\/g><\/g>/.exec(paint())?.[0] ?? '';
  assert.match(marked, /fill="var\(--color-set\)"/);
  const other = /data-code="6\.4"[\s\S]*?<\/g><\/g>/.exec(paint())?.[0] ?? '';
  assert.doesNotMatch(other, /fill="var\(--color-set\)"/);
});

test('names are written under their knots, the chosen one’s always, and no two lie on each other', () => {
  const picture = paint({ chosen: '9.20' });
  const labels = [...picture.matchAll(/<text x="([\d.]+)" y="([\d.]+)"[^>]*aria-hidden[^>]*>([^<]+)</g)].map(([, x, y, title]) => ({
    x: Number(x),
    y: Number(y),
    title: title ?? '',
  }));
  assert.ok(labels.some(({ title }) => title === 'Knot 9.20'));
  assert.ok(labels.some(({ title }) => title === 'Four-in-hand'));
  assert.ok(labels.length > 5);
  for (const one of labels) {
    for (const other of labels) {
      if (one === other) continue;
      const half = ((one.title.length + other.title.length) * 6.2) / 2;
      assert.ok(Math.abs(one.x - other.x) >= half || Math.abs(one.y - other.y) >= 12, `${one.title} lies on ${other.title}`);
    }
  }
});

test('the zone lies along whichever axis the size is on, or is not drawn', () => {
  const rect = (picture: string) => /<rect[^>]*data-testid="zone"/.exec(picture)?.[0] ?? '';
  assert.match(rect(paint()), /x="300"[^>]*width="200"/);
  assert.match(rect(paint({ x: 'lean', y: 'size', zone: { along: 'y', from: 300, to: 120 } })), /y="120"[^>]*height="180"/);
  assert.equal(rect(paint({ zone: undefined })), '');
});

test('a knot that cannot be worn is faint, unless it is looked at', () => {
  const short = mappedKnots({ ...question, tie: { ...question.tie, lengthMm: 1150, neckAtMm: 650 } });
  const cannot = short.find(({ plan }) => !plan.feasible)!;
  const placed = [{ knot: cannot, x: 200, y: 200 }];
  const opacity = (chosen: string | undefined) => /role="option"[^>]*opacity="([\d.]+)"/.exec(paint({ placed, chosen }))?.[1];
  assert.equal(opacity(undefined), '0.4');
  assert.equal(opacity(cannot.code), '1');
});
