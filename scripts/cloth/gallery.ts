import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { PNG } from 'pngjs';
import { type SeenCloth, seenOf, unpackCloth } from '../../src/core/cloth/mesh/compact.ts';
import { referenceTying } from '../../src/core/cloth/reference.ts';
import { tieInCloth } from '../../src/core/cloth/tieInCloth.ts';
import { parseKnot } from '../../src/core/index.ts';
import { knotCode } from '../../src/core/knot/code.ts';
import { paintRequest } from '../../src/core/seen/paintRequest.ts';
import { paintCloth } from '../../src/core/seen/picture.ts';
import { root } from '../machine/paths.ts';
import { checkedTies } from './checkSteps.ts';
import { studied } from './study.ts';

const file = join(root, 'docs', 'knots-in-cloth.png');
const cell = { widthPx: 132, heightPx: 128, heightMm: 128 } as const;
/** From the front as the wearer sees it in a mirror, from the side, and from behind. */
const turns = [0, 90, 180] as const;
const look = { colours: ['#7d2734', '#d9c9a3'], pattern: 'stripe', fabric: 'woven-silk' } as const;

/** One of the studied words in each of the ties that steps are checked in, as painted cells in the order of the picture. */
export interface GalleryRow {
  readonly row: number;
  readonly cells: readonly string[];
}

/** Ties every `of`th of the studied words from the `part`th on and paints them from three sides in each tie. */
export function paintRows(part: number, of: number, told: (row: GalleryRow) => void): void {
  studied.forEach((word, row) => {
    if (row % of !== part) return;
    const cells = checkedTies.flatMap((tie) => {
      const tied = tieInCloth({ ...referenceTying(parseKnot(word)), tie });
      return turns.map((turn) => (tied.kind === 'tied' ? painted(seenOf(tied.mesh), turn) : ''));
    });
    told({ row, cells });
  });
}

/** Puts all rows into one picture of the docs, after those of ready meshes that are kept in `earlierFolder`, where one is named. */
export function writeGallery(rows: readonly GalleryRow[], earlierFolder: string | undefined): void {
  const all = studied.map((word, row) => {
    const { cells = [] } = rows.find((each) => each.row === row) ?? {};
    if (earlierFolder === undefined) return cells;
    const earlier = unpackCloth(gunzipSync(readFileSync(join(earlierFolder, `${knotCode(parseKnot(word))}.bin.gz`))));
    return [...turns.map((turn) => painted(earlier, turn)), ...cells];
  });
  const columns = Math.max(...all.map((cells) => cells.length));
  const picture = new PNG({ width: columns * cell.widthPx, height: all.length * cell.heightPx });
  picture.data.fill(255);
  all.forEach((cells, row) => {
    cells.forEach((pixels, column) => {
      lay(picture, Buffer.from(pixels, 'base64'), column * cell.widthPx, row * cell.heightPx);
    });
  });
  writeFileSync(file, PNG.sync.write(picture));
}

function painted(cloth: SeenCloth, turnDeg: number): string {
  return Buffer.from(paintCloth(cloth, paintRequest(look, cell, turnDeg, 'left'))).toString('base64');
}

/** Lays painted pixels over white paper. */
function lay(picture: PNG, pixels: Buffer, left: number, top: number): void {
  for (let at = 0; at < pixels.length; at += 4) {
    const [x, y] = [(at / 4) % cell.widthPx, Math.floor(at / 4 / cell.widthPx)];
    const to = 4 * ((top + y) * picture.width + left + x);
    const share = (pixels[at + 3] ?? 0) / 255;
    for (let channel = 0; channel < 3; channel++) picture.data[to + channel] = 255 + share * ((pixels[at + channel] ?? 0) - 255);
  }
}
