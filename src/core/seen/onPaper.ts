import type { SeenCloth } from '../cloth/mesh/compact.ts';
import { type PictureRequest, paintStrand, type Rgb } from './picture.ts';
import { emptyCanvas } from './raster.ts';
import { weaves } from './weave.ts';

/** Greys that stay apart on any paper: the face, the seam side, and the ink of edges. */
const face: Rgb = [226, 226, 226];
const seamSide: Rgb = [128, 128, 128];
const ink = 40;
/** Where what is seen jumps by more than this there is an edge, mm. */
const stepMm = 5;

/** A tie on paper: its two sides in greys, without its colours, every edge inked. RGBA bytes, what shows nothing transparent. */
export function paintOnPaper(
  { columns, active, standing }: SeenCloth,
  size: Pick<PictureRequest, 'widthPx' | 'heightPx' | 'pxPerMm' | 'centrePx' | 'facing'>,
): Uint8ClampedArray {
  const request: PictureRequest = { ...size, turnDeg: 0, colours: [face, face], weave: weaves.solid, sheen: 0, seamSide };
  const canvas = emptyCanvas(request);
  for (const strand of [standing, active]) paintStrand(canvas, strand, columns, request, () => true);
  const { pixels, depth } = canvas;
  const { widthPx, heightPx } = size;
  const isEdge = (at: number, next: number) => {
    const [here, there] = [depth.z[at] ?? 0, depth.z[next] ?? 0];
    return here - there > stepMm;
  };
  for (let y = 1; y < heightPx - 1; y++) {
    for (let x = 1; x < widthPx - 1; x++) {
      const at = y * widthPx + x;
      if (pixels[4 * at + 3] === 0) continue;
      if (isEdge(at, at - 1) || isEdge(at, at + 1) || isEdge(at, at - widthPx) || isEdge(at, at + widthPx))
        pixels.fill(ink, 4 * at, 4 * at + 3);
    }
  }
  return pixels;
}
