import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import { gunzipSync } from 'node:zlib';
import { PNG } from 'pngjs';
import { readyFolder } from '../../../scripts/cloth/readyFolder.ts';
import { stancesFile, stancesSource } from '../../../scripts/cloth/stances.ts';
import type { ClothIndex } from '../../../src/contract/clothIndex.ts';
import { unpackCloth } from '../../../src/core/cloth/mesh/compact.ts';
import { referenceTie, referenceTying } from '../../../src/core/cloth/reference.ts';
import { parseKnot } from '../../../src/core/index.ts';
import { paintAlone } from '../../../src/core/seen/alone.ts';
import { frontEdges, frontFoot } from '../../../src/core/seen/front.ts';
import { paintCloth } from '../../../src/core/seen/picture.ts';
import { coverFace, emptyDepth } from '../../../src/core/seen/raster.ts';
import { rescaledFor } from '../../../src/core/seen/rescale.ts';
import { smoothSurface } from '../../../src/core/seen/surface.ts';
import { drawCloth } from '../../../src/core/seen/vector.ts';
import { weaves } from '../../../src/core/seen/weave.ts';
import { smallPicture } from '../../support/pictureRequest.ts';

const read = (code: string) => unpackCloth(gunzipSync(readFileSync(join(readyFolder, `${code}.bin.gz`))));
const halfWindsor = read('6.4');
const index = JSON.parse(readFileSync(join(readyFolder, 'index.json'), 'utf8')) as ClothIndex;

test('a smooth surface goes through the points of the mesh, and is as long as its cloth', () => {
  const { active, columns } = halfWindsor;
  const fine = smoothSurface(active, columns, 3);
  for (const [row, column] of [
    [10, 0],
    [40, 3],
    [90, 6],
  ] as const)
    for (let axis = 0; axis < 3; axis++) {
      const there = fine.position[3 * (3 * row * fine.columns + 3 * column) + axis] ?? 0;
      assert.ok(Math.abs(there - (active.position[3 * (row * columns + column) + axis] ?? 0)) < 1e-9);
    }
  const length = active.rest.reduce((sum, mm) => sum + mm, 0);
  assert.ok(Math.abs((fine.cloth.at(-1) ?? 0) - length) < 1e-6);
});

test('what is nearer hides what is further, in whatever order they come', () => {
  const seen = Float64Array.from([0, 0, 0, 20, 0, 0, 0, 20, 0, 0, 0, 5, 20, 0, 5, 0, 20, 5]);
  for (const order of [
    [0, 3],
    [3, 0],
  ] as const) {
    const depth = emptyDepth(20, 20);
    const shown = new Map<number, number>();
    for (const first of order) coverFace(seen, first, first + 1, first + 2, depth, (at) => shown.set(at, first));
    assert.ok(shown.size > 150 && [...shown.values()].every((face) => face === 3));
  }
});

test('drawn for print, a knot is shapes of its colours, the nearest last, and its title is safe', () => {
  const svg = drawCloth(halfWindsor, { ...smallPicture, weave: weaves.stripe }, 'half-Windsor <for "her" & him>');
  assert.match(svg, /^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg" viewBox="0 0 200 190"/);
  assert.match(svg, /half-Windsor &lt;for &quot;her&quot; &amp; him>/);
  const fills = [...svg.matchAll(/fill="#([0-9a-f]{6})"/g)].map(([, fill = '']) => Number.parseInt(fill.slice(0, 2), 16));
  assert.ok(fills.length > 1000 && fills.length < 20_000, `${fills.length} faces`);
  assert.ok(Math.max(...fills) > 150 && Math.min(...fills) < 60, 'both colours of the stripe');
  assert.ok(!/NaN|undefined/.test(svg));
});

test('alone, a knot shows its face, and of its arms and blade only what is next to it', () => {
  const { widthPx, heightPx } = smallPicture;
  const alone = paintAlone(halfWindsor, 9, smallPicture);
  const whole = paintCloth(halfWindsor, smallPicture);
  const isPainted = (pixels: Uint8ClampedArray, x: number, y: number) => (pixels[4 * (y * widthPx + x) + 3] ?? 0) > 0;
  const count = (isCounted: (x: number, y: number) => boolean) => {
    let sum = 0;
    for (let y = 0; y < heightPx; y++) for (let x = 0; x < widthPx; x++) if (isCounted(x, y)) sum++;
    return sum;
  };
  const shown = count((x, y) => isPainted(alone, x, y));
  assert.ok(shown > 3000, `${shown} pixels`);
  const added = count((x, y) => isPainted(alone, x, y) && !isPainted(whole, x, y));
  assert.ok(added < 5, `${added} pixels that the whole has not, beyond what a cut end rounds`);
  const [aside, below] = [38 * smallPicture.pxPerMm, smallPicture.centrePx[1] + 62 * smallPicture.pxPerMm];
  const isFar = (x: number, y: number) => Math.abs(x - smallPicture.centrePx[0]) > aside || y > below;
  assert.ok(count((x, y) => isFar(x, y) && isPainted(whole, x, y)) > 2000);
  assert.equal(
    count((x, y) => isFar(x, y) && isPainted(alone, x, y)),
    0,
  );
  const mirrored = paintAlone(halfWindsor, 9, { ...smallPicture, facing: false });
  const differ = count((x, y) => isPainted(alone, x, y) !== isPainted(mirrored, widthPx - 1 - x, y));
  assert.ok(differ < 0.02 * shown, `${differ} pixels of the mirrored picture differ`);
});

test('every ready knot stands alone in one piece', () => {
  const [widthPx, heightPx] = [100, 95];
  for (const code of Object.keys(index.knots)) {
    const cloth = read(code);
    const { top, bottom } = frontEdges(cloth);
    assert.ok(top - bottom > 20 && top - bottom < 90 && top > -3, `${code}: from ${bottom} to ${top} mm`);
    const { heightMm = 0, topMm = 0 } = index.knots[code]?.measures ?? {};
    assert.equal(frontFoot(cloth) === undefined, code.startsWith('o'), `${code}: only a panel has no foot`);
    const [from, to] = frontFoot(cloth) ?? [0, 10];
    assert.ok(to - from > 7 && to - from < topMm + 12 && from < 25 && to > -25, `${code}: its foot from ${from} to ${to}`);
    // An end that is led away up under the collar is not of the knot's height.
    assert.ok(heightMm > 20 && heightMm < 90 && topMm > 28, `${code}: ${heightMm} mm high, ${topMm} wide`);
    const alone = paintAlone(cloth, 9, { ...smallPicture, widthPx, heightPx, pxPerMm: 0.7, centrePx: [50, 40] });
    const sizes = pieces(alone, widthPx, heightPx);
    const painted = sizes.reduce((sum, size) => sum + size, 0);
    assert.ok(painted > 400 && painted < 4000, `${code}: ${painted} of 9500 pixels`);
    assert.ok(Math.max(...sizes) > 0.97 * painted, `${code} lies in pieces of ${sizes.join(', ')} pixels`);
  }
});

/** How many pixels each piece of a picture has that hangs together. */
function pieces(pixels: Uint8ClampedArray, widthPx: number, heightPx: number): number[] {
  const isLeft = Uint8Array.from({ length: widthPx * heightPx }, (_, i) => ((pixels[4 * i + 3] ?? 0) > 0 ? 1 : 0));
  const sizes: number[] = [];
  isLeft.forEach((_, start) => {
    const found = [start];
    let size = 0;
    for (let i = found.pop(); i !== undefined; i = found.pop()) {
      if (isLeft[i] !== 1) continue;
      isLeft[i] = 0;
      size++;
      if (i % widthPx > 0) found.push(i - 1);
      if (i % widthPx < widthPx - 1) found.push(i + 1);
      found.push(i - widthPx, i + widthPx);
    }
    if (size > 0) sizes.push(size);
  });
  return sizes;
}

test('a ready mesh becomes as large as the formulas make the knot in another tie', () => {
  const request = referenceTying(parseKnot('Li Ro Ci Lo Ri Co T'));
  assert.deepEqual(rescaledFor(request, halfWindsor), halfWindsor);
  const thick = rescaledFor({ ...request, tie: { ...referenceTie, thicknessMm: 4.8 } }, halfWindsor);
  const factor = (thick.active.position[60] ?? 0) / (halfWindsor.active.position[60] ?? 1);
  assert.ok(factor > 1.1 && factor < 1.5, `${factor}`);
  assert.ok(Math.abs((thick.standing.rest[5] ?? 0) - factor * (halfWindsor.standing.rest[5] ?? 0)) < 1e-9);
});

test('the small pictures hold every ready knot, each in a cell of its own', () => {
  const { cellPx, columns, rows, codes } = index.atlas;
  const sheet = PNG.sync.read(readFileSync(join(readyFolder, 'atlas.png')));
  assert.deepEqual([sheet.width, sheet.height], [columns * cellPx[0], rows * cellPx[1]]);
  codes.forEach((code, i) => {
    const [left, top] = [(i % columns) * cellPx[0], Math.floor(i / columns) * cellPx[1]];
    let painted = 0;
    let onEdge = 0;
    for (let y = 0; y < cellPx[1]; y++)
      for (let x = 0; x < cellPx[0]; x++) {
        if ((sheet.data[4 * ((top + y) * sheet.width + left + x) + 3] ?? 0) === 0) continue;
        painted++;
        if (x === 0 || x === cellPx[0] - 1) onEdge++;
      }
    assert.ok(painted > 1200, `${code} covers ${painted} pixels`);
    assert.equal(onEdge, 0, `${code} fits its cell`);
  });
});

test('the core’s table of how knots stand is the one of the ready knots', () => {
  assert.equal(readFileSync(stancesFile, 'utf8'), stancesSource(index.knots));
});
