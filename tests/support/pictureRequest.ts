import type { PictureRequest } from '../../src/core/seen/picture.ts';
import { weaves } from '../../src/core/seen/weave.ts';

/** A small picture of a knot in two colours, as an onlooker sees it from the front. */
export const smallPicture: PictureRequest = {
  widthPx: 200,
  heightPx: 190,
  pxPerMm: 1.4,
  centrePx: [100, 80],
  turnDeg: 0,
  colours: [
    [60, 80, 140],
    [230, 220, 180],
  ],
  weave: weaves.solid,
  sheen: 0.5,
  facing: true,
};
