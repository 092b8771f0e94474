import assert from 'node:assert/strict';
import test from 'node:test';
import { darkenHollows } from '../../../src/core/seen/hollows.ts';
import { emptyCanvas } from '../../../src/core/seen/raster.ts';

const sizePx = 81;
const pxPerMm = 4;
const light = 200;
const middle = (sizePx - 1) / 2;

/** The red of a picture all in one colour, so high at each place, mm; nothing is painted where there is no height. */
function lit(heightMm: (xMm: number, yMm: number) => number | undefined): (xMm: number, yMm: number) => number {
  const canvas = emptyCanvas({ widthPx: sizePx, heightPx: sizePx });
  const mm = (px: number) => (px - middle) / pxPerMm;
  for (let y = 0; y < sizePx; y++)
    for (let x = 0; x < sizePx; x++) {
      const z = heightMm(mm(x), mm(y));
      if (z === undefined) continue;
      canvas.depth.z[y * sizePx + x] = z;
      canvas.pixels.set([light, 120, 40, 255], 4 * (y * sizePx + x));
    }
  darkenHollows(canvas, pxPerMm);
  const px = (at: number) => Math.round(middle + at * pxPerMm);
  return (xMm, yMm) => canvas.pixels[4 * (px(yMm) * sizePx + px(xMm))] ?? 0;
}

test('what is flat keeps its light, however it is turned to the eye', () => {
  for (const slope of [0, 0.3, 1.2, -0.8]) {
    const at = lit((x, y) => slope * x + 0.5 * slope * y);
    for (const [x, y] of [
      [0, 0],
      [3, -2],
      [-2.5, 1],
    ] as const)
      assert.ok(Math.abs(at(x, y) - light) <= 1, `${slope}: ${at(x, y)}`);
  }
});

test('a crease is darker than its shoulders, and the deeper the darker; a ridge loses nothing', () => {
  const crease = (deep: number) => lit((x) => -deep * Math.exp(-((x / 3) ** 2)));
  const shallow = crease(2);
  const deep = crease(6);
  assert.ok(shallow(0, 0) < light - 5);
  assert.ok(deep(0, 0) < shallow(0, 0) - 20);
  assert.ok(deep(8, 0) > deep(0, 0) + 40);
  assert.equal(crease(-6)(0, 0), light);
});

test('cloth is darker right below the edge of a layer on it, and the layer is not', () => {
  const at = lit((x) => (x < 0 ? 4 : 0));
  assert.ok(at(0.5, 0) < at(5, 0) - 15);
  assert.ok(at(-1, 0) >= light - 1);
});

test('nothing beside the cloth darkens it, and what is not painted stays so; left and right are alike', () => {
  const disc = lit((x, y) => (Math.hypot(x, y) < 6 ? 0 : undefined));
  assert.ok(disc(5, 0) >= light - 1);
  assert.equal(disc(8, 0), 0);
  const skew = (side: 1 | -1) => lit((x, y) => 3 * Math.sin(side * x + 0.4 * y));
  for (const [x, y] of [
    [1, 2],
    [-4, 3],
    [6, -1],
  ] as const)
    assert.equal(skew(1)(x, y), skew(-1)(-x, y));
});
