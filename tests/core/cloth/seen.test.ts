import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import { gunzipSync } from 'node:zlib';
import { PNG } from 'pngjs';
import { readyFolder } from '../../../scripts/cloth/readyFolder.ts';
import { stancesFile, stancesSource } from '../../../scripts/cloth/stances.ts';
import type { ClothIndex } from '../../../src/contract/clothIndex.ts';
import { unpackCloth } from '../../../src/core/cloth/compact.ts';
import { referenceTie, referenceTying } from '../../../src/core/cloth/reference.ts';
import { knotAlone } from '../../../src/core/cloth/seen/alone.ts';
import { coverFace, emptyDepth } from '../../../src/core/cloth/seen/raster.ts';
import { rescaledFor } from '../../../src/core/cloth/seen/rescale.ts';
import { smoothSurface } from '../../../src/core/cloth/seen/surface.ts';
import { drawCloth } from '../../../src/core/cloth/seen/vector.ts';
import { weaves } from '../../../src/core/cloth/seen/weave.ts';
import { enumerateKnots, parseKnot } from '../../../src/core/index.ts';
import { knotCode } from '../../../src/core/knot/code.ts';
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

test('alone, a knot has neither arms nor a long blade', () => {
  const alone = knotAlone(halfWindsor, 9);
  const span = ({ position }: { readonly position: Float64Array }, axis: number) => {
    const values = [...position].filter((_, i) => i % 3 === axis);
    return Math.max(...values) - Math.min(...values);
  };
  assert.ok(span(alone.active, 1) < 90 && span(halfWindsor.active, 1) > 120);
  assert.ok(alone.active.parts.filter((part) => part === 'arm').length < 6);
  assert.ok(alone.active.parts.includes('band'));
  assert.equal(alone.active.rest.length, alone.active.rows - 1);
});

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
  const finer = enumerateKnots(9).map((knot) => index.knots[knotCode(knot)]?.finer?.length);
  assert.ok(
    finer.every((count) => count === 2),
    'each under three settings',
  );
});
