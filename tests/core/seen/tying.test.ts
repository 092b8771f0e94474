import assert from 'node:assert/strict';
import test from 'node:test';
import { referenceSteps } from '../../../src/core/cloth/reference.ts';
import { settle } from '../../../src/core/cloth/steps/settle.ts';
import { parseKnot } from '../../../src/core/index.ts';
import { paintOnPaper } from '../../../src/core/seen/onPaper.ts';
import { tyingPaintRequest } from '../../../src/core/seen/paintRequest.ts';
import { paintCloth } from '../../../src/core/seen/picture.ts';
import { drawCloth } from '../../../src/core/seen/vector.ts';

const knot = parseKnot('Li Ro Li Co T');
const [front, behind] = [1, 2].map((done) => settle(referenceSteps(knot), done).frame);
const size = { widthPx: 200, heightPx: 240, heightMm: 300 } as const;
const silk = { fabric: 'woven-silk', pattern: 'solid', colours: ['#c0c0c0'] } as const;
const paper = { widthPx: 200, heightPx: 240, pxPerMm: 0.8, centrePx: [100, 50] as const };

/** The lightness of what is painted in a window of the picture, 0 to 255: its middle one. */
function middleLight(pixels: Uint8ClampedArray, fromX: number, toX: number, fromY: number, toY: number): number {
  const lights: number[] = [];
  for (let y = fromY; y < toY; y++)
    for (let x = fromX; x < toX; x++) if (pixels[4 * (y * 200 + x) + 3]) lights.push(pixels[4 * (y * 200 + x)]!);
  return lights.toSorted((a, b) => a - b)[Math.floor(lights.length / 2)]!;
}

test('the picture in the mirror and the one facing are exact mirror images', () => {
  for (const cloth of [front!, behind!]) {
    const [facing, mirror] = [true, false].map((isFacing) => paintOnPaper(cloth, { ...paper, facing: isFacing }));
    let [same, all] = [0, 0];
    for (let y = 0; y < 240; y++) {
      for (let x = 0; x < 200; x++) {
        const [a, b] = [facing![4 * (y * 200 + x) + 3], mirror![4 * (y * 200 + 199 - x) + 3]];
        all++;
        if (a === b) same++;
      }
    }
    assert.ok(same > 0.999 * all, `${all - same} of ${all} differ: edges fall between pixels`);
  }
});

test('the face is light and the seam side dark on any paper: a blade across the front, and one behind', () => {
  const [across, back] = [front!, behind!].map((cloth) => paintOnPaper(cloth, { ...paper, facing: false }));
  // In the mirror the blade goes to the left first, and behind to the right.
  const acrossLight = middleLight(across!, 20, 80, 150, 190);
  const backLight = middleLight(back!, 125, 180, 150, 190);
  assert.ok(acrossLight > backLight + 50, `${acrossLight} and ${backLight}`);
});

test('in its own colours both sides are told apart too, on the screen and in lines', () => {
  const request = { ...tyingPaintRequest(silk, size, 0, 'left'), centrePx: [100, 50] as const };
  const [across, back] = [front!, behind!].map((cloth) => paintCloth(cloth, request));
  assert.ok(middleLight(across!, 20, 80, 150, 190) > middleLight(back!, 125, 180, 150, 190) + 30);
  const { seamSide, ...plain } = request;
  assert.ok(seamSide);
  assert.notDeepEqual(paintCloth(behind!, plain), back, 'without a seam side both are of one colour');
  assert.notEqual(drawCloth(behind!, request, 'x'), drawCloth(behind!, plain, 'x'));
});
