import { rgbOf } from '../colour/rgb.ts';
import type { FabricLook } from '../tie/fabricLook.ts';
import { fabrics } from '../tie/fabrics.ts';
import { usualColours } from '../usual.ts';
import type { PictureRequest } from './picture.ts';
import { weaves } from './weave.ts';

export interface PaintedSize {
  readonly widthPx: number;
  readonly heightPx: number;
  /** So much of the knot is as high as the picture, mm. */
  readonly heightMm: number;
}

/** The other side of the cloth is so much darker than its ground. */
const seamSideShade = 0.55;

/** The same for a tie that is being tied: both sides of its cloth told apart. */
export function tyingPaintRequest(...asked: Parameters<typeof paintRequest>): PictureRequest {
  const request = paintRequest(...asked);
  const [red, green, blue] = request.colours[0];
  return { ...request, seamSide: [seamSideShade * red, seamSideShade * green, seamSideShade * blue] };
}

/** How a knot is painted without a graphics card: in a picture of the given size, from the side it is turned to. */
export function paintRequest(
  paint: FabricLook,
  { widthPx, heightPx, heightMm }: PaintedSize,
  turnDeg: number,
  blade: 'right' | 'left',
): PictureRequest {
  const first = rgbOf(paint.colours[0] ?? usualColours.tie);
  return {
    widthPx,
    heightPx,
    pxPerMm: heightPx / heightMm,
    centrePx: [widthPx / 2, heightPx * 0.42],
    turnDeg,
    colours: [first, paint.colours[1] ? rgbOf(paint.colours[1]) : first],
    weave: weaves[paint.pattern],
    sheen: fabrics[paint.fabric].sheen,
    facing: blade === 'right',
  };
}
