import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { PNG } from 'pngjs';
import type { ClothAtlas } from '../../src/contract/clothIndex.ts';
import { unpackCloth } from '../../src/core/cloth/mesh/compact.ts';
import { paintAlone } from '../../src/core/seen/alone.ts';
import { frontEdges } from '../../src/core/seen/front.ts';
import type { Rgb } from '../../src/core/seen/picture.ts';
import { weaves } from '../../src/core/seen/weave.ts';
import { readyFolder } from './readyFolder.ts';

const cell = { widthPx: 232, heightPx: 180 } as const;
const pxPerMm = 1.25;
const columns = 10;
const topPx = 52;
const bladeMm = 9;
/** Nearly white, so that a page can lay any colour over it. */
const grey: Rgb = [236, 236, 236];

/** Paints every ready mesh small, from the front as the wearer sees it, into one picture for pages to take their marks from. */
export function writeAtlas(codes: readonly string[]): ClothAtlas {
  const atlas = new PNG({ width: columns * cell.widthPx, height: Math.ceil(codes.length / columns) * cell.heightPx, colorType: 4 });
  codes.forEach((code, i) => {
    const cloth = unpackCloth(gunzipSync(readFileSync(join(readyFolder, `${code}.bin.gz`))));
    const pixels = paintAlone(cloth, bladeMm, {
      ...cell,
      pxPerMm,
      centrePx: [cell.widthPx / 2, topPx + pxPerMm * frontEdges(cloth).top],
      turnDeg: 0,
      colours: [grey, grey],
      weave: weaves.solid,
      sheen: 0.5,
      facing: false,
    });
    const [left, top] = [(i % columns) * cell.widthPx, Math.floor(i / columns) * cell.heightPx];
    for (let y = 0; y < cell.heightPx; y++)
      atlas.data.set(pixels.subarray(4 * y * cell.widthPx, 4 * (y + 1) * cell.widthPx), 4 * ((top + y) * atlas.width + left));
  });
  writeFileSync(join(readyFolder, 'atlas.png'), PNG.sync.write(atlas, { colorType: 4 }));
  return { cellPx: [cell.widthPx, cell.heightPx], columns, rows: Math.ceil(codes.length / columns), pxPerMm, topPx, codes };
}
