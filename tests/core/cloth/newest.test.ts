import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import { gunzipSync } from 'node:zlib';
import { stepsFolder } from '../../../scripts/cloth/readyFolder.ts';
import type { SeenCloth } from '../../../src/core/cloth/mesh/compact.ts';
import { framesAMove, unpackSequence } from '../../../src/core/cloth/steps/sequence.ts';
import { knotOfCode } from '../../../src/core/knot/code.ts';
import { passesOf } from '../../../src/core/knot/passes.ts';
import { type PictureRequest, project } from '../../../src/core/seen/picture.ts';
import { coverFace, emptyDepth } from '../../../src/core/seen/raster.ts';
import { smoothSurface } from '../../../src/core/seen/surface.ts';

const size = 200;
const asSeen: PictureRequest = {
  widthPx: size,
  heightPx: size,
  pxPerMm: 0.6,
  centrePx: [size / 2, 80],
  turnDeg: 0,
  facing: true,
  colours: [
    [0, 0, 0],
    [0, 0, 0],
  ],
  weave: () => 0,
  sheen: 0,
};
const finer = 2;

/** Of all the pixels that some rows of the working strand would cover, the share in which nothing lies before them. */
function visible(cloth: SeenCloth, isLooked: (row: number) => boolean): number {
  const covered = (alone: boolean) => {
    const depth = emptyDepth(size, size);
    const shown = new Uint8Array(size * size);
    for (const strand of [cloth.standing, cloth.active]) {
      const surface = smoothSurface(strand, cloth.columns, finer);
      const seen = project(surface, asSeen);
      for (let row = 0; row < surface.rows - 1; row++) {
        const isOne = strand === cloth.active && isLooked(Math.floor(row / finer));
        if (alone && !isOne) continue;
        for (let c = 0; c < surface.columns - 1; c++) {
          const v = row * surface.columns + c;
          for (const [i, j, k] of [
            [v, v + 1, v + surface.columns],
            [v + 1, v + surface.columns + 1, v + surface.columns],
          ] as const)
            coverFace(seen, i, j, k, depth, (at) => {
              shown[at] = isOne ? 1 : 0;
            });
        }
      }
    }
    return shown.reduce((sum, each) => sum + each, 0);
  };
  return covered(false) / Math.max(1, covered(true));
}

/** Rows that were still hanging before a move and are part of it after. */
function rowsOfMove(before: SeenCloth, after: SeenCloth): ReadonlySet<number> {
  const isLaid = (cloth: SeenCloth, row: number) => cloth.active.parts[row] !== 'hang' && cloth.active.parts[row] !== 'arm';
  return new Set(after.active.parts.flatMap((_, row) => (isLaid(after, row) && !isLaid(before, row) ? [row] : [])));
}

test('seen from the front the newest pass is never hidden where it goes in front, and where it goes behind the end that goes on is in sight', () => {
  const files = readdirSync(stepsFolder).filter((name) => /^\d.*\.gz$/.test(name));
  assert.ok(files.length > 10);
  let looked = 0;
  for (const name of files) {
    const code = name.replace('.bin.gz', '');
    const knot = knotOfCode(code);
    assert.ok(knot, code);
    const { moving } = unpackSequence(gunzipSync(readFileSync(join(stepsFolder, name))));
    passesOf(knot).forEach(({ side, region }, i) => {
      const [before, after] = [moving[i * framesAMove], moving[(i + 1) * framesAMove]];
      assert.ok(before && after, `${code}, move ${i + 1}`);
      const newest = rowsOfMove(before, after);
      assert.ok(newest.size > 0);
      const hangs = (row: number) => after.active.parts[row] === 'hang';
      if (side === 'front') {
        const share = visible(after, (row) => newest.has(row));
        assert.ok(share > 0.5, `${code}, move ${i + 1}: ${share.toFixed(2)} of it is seen`);
        looked++;
      } else if (region !== 'C') {
        const share = visible(after, hangs);
        assert.ok(share > 0.5, `${code}, move ${i + 1}: ${share.toFixed(2)} of the end is seen`);
        looked++;
      }
    });
  }
  assert.ok(looked > 80, `${looked} moves`);
});
