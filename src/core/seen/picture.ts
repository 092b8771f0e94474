import type { SeenCloth, SeenStrand } from '../cloth/mesh/compact.ts';
import { unit } from '../numeric/vector.ts';
import { darkenHollows } from './hollows.ts';
import { type Canvas, coverFace, emptyCanvas } from './raster.ts';
import { type Surface, smoothSurface } from './surface.ts';
import type { Weave } from './weave.ts';

export type Rgb = readonly [r: number, g: number, b: number];

export interface PictureRequest {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly pxPerMm: number;
  /** Where the knot's middle stands in the picture, from its top left corner. */
  readonly centrePx: readonly [x: number, y: number];
  /** Turned about the upright axis: 0 is seen from the front, 90 from the wearer's right. */
  readonly turnDeg: number;
  readonly colours: readonly [Rgb, Rgb];
  readonly weave: Weave;
  /** How strongly the cloth shines, 0 to 1. */
  readonly sheen: number;
  /** As an onlooker sees it; otherwise as in the wearer's mirror. */
  readonly facing: boolean;
  /** Where both sides of the cloth are to be told apart: the other side's ground, a seam down its middle. One colour does for both without it. */
  readonly seamSide?: Rgb;
}

const seamHalfMm = 1;
const seamShade = 0.45;

/** Each quad of the mesh is drawn as so many by so many. */
const finer = 2;
const light: Rgb = unit([-0.35, 0.55, 0.75]);
/** Half-way between the light and the eye: where a face shines. */
const gloss: Rgb = unit([light[0], light[1], light[2] + 1]);
const shadowOfDepth = 0.011;

/** A picture of a tied knot as RGBA bytes, row by row; what shows nothing is transparent. Later cloth hides earlier by its depth alone. */
export function paintCloth(cloth: SeenCloth, request: PictureRequest): Uint8ClampedArray {
  const canvas = emptyCanvas(request);
  for (const strand of [cloth.standing, cloth.active]) paintStrand(canvas, strand, cloth.columns, request, () => true);
  darkenHollows(canvas, request.pxPerMm);
  return canvas.pixels;
}

/** Paints those rows of a strand that are wanted over what is on the canvas, where they are nearer. */
export function paintStrand(
  { pixels, depth }: Canvas,
  strand: SeenStrand,
  meshColumns: number,
  request: PictureRequest,
  isWanted: (row: number) => boolean,
): void {
  const surface = smoothSurface(strand, meshColumns, finer);
  const seen = project(surface, request);
  const { columns, cloth: place } = surface;
  for (let row = 0; row < surface.rows - 1; row++) {
    if (!isWanted(Math.floor(row / finer))) continue;
    for (let c = 0; c < columns - 1; c++) {
      const v = row * columns + c;
      const shade = shadeOf(seen, v, v + 1, v + columns, request.sheen, request.pxPerMm);
      const side = sideSeen(seen, v, v + 1, v + columns, request);
      for (const [i, j, k] of [
        [v, v + 1, v + columns],
        [v + 1, v + columns + 1, v + columns],
      ] as const)
        coverFace(seen, i, j, k, depth, (at, u, w, q, z) => {
          const across = u * (place[2 * i] as number) + w * (place[2 * j] as number) + q * (place[2 * k] as number);
          const along = u * (place[2 * i + 1] as number) + w * (place[2 * j + 1] as number) + q * (place[2 * k + 1] as number);
          const colour = seenColour(across, along, z, shade, side);
          pixels[4 * at] = colour[0];
          pixels[4 * at + 1] = colour[1];
          pixels[4 * at + 2] = colour[2];
          pixels[4 * at + 3] = 255;
        });
    }
  }
}

/** Every point in the picture: px from its top left corner, and mm toward the eye. */
export function project({ rows, columns, position }: Surface, { pxPerMm, centrePx, turnDeg, facing }: PictureRequest): Float64Array {
  const [cos, sin] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
  const side = facing ? -1 : 1;
  const seen = new Float64Array(3 * rows * columns);
  for (let v = 0; v < rows * columns; v++) {
    const [x, y, z] = [position[3 * v] ?? 0, position[3 * v + 1] ?? 0, position[3 * v + 2] ?? 0];
    seen[3 * v] = centrePx[0] + pxPerMm * side * (x * cos + z * sin);
    seen[3 * v + 1] = centrePx[1] - pxPerMm * y;
    seen[3 * v + 2] = z * cos - x * sin;
  }
  return seen;
}

/** How the side of a face that is turned to the eye is painted: the outermost side of the winding is the cloth's face. */
export function sideSeen(seen: Float64Array, a: number, b: number, c: number, request: PictureRequest): PictureRequest {
  const { seamSide, facing } = request;
  if (!seamSide || !showsSeam(seen, a, b, c, facing)) return request;
  const seam = seamSide.map((part) => seamShade * part) as unknown as Rgb;
  return { ...request, colours: [seamSide, seam], weave: (across) => (Math.abs(across) < seamHalfMm ? 1 : 0), sheen: 0 };
}

function showsSeam(seen: Float64Array, a: number, b: number, c: number, facing: boolean): boolean {
  const px = (seen[3 * b] as number) - (seen[3 * a] as number);
  const py = (seen[3 * b + 1] as number) - (seen[3 * a + 1] as number);
  const qx = (seen[3 * c] as number) - (seen[3 * a] as number);
  const qy = (seen[3 * c + 1] as number) - (seen[3 * a + 1] as number);
  return px * qy - py * qx < 0 !== facing;
}

/** Light on a face, whichever of its sides is seen. */
export interface Shade {
  /** Share of its colour that is seen. */
  readonly lit: number;
  /** White that shines on top, 0 to 1. */
  readonly shine: number;
}

export function shadeOf(seen: Float64Array, a: number, b: number, c: number, sheen: number, pxPerMm: number): Shade {
  const px = ((seen[3 * b] as number) - (seen[3 * a] as number)) / pxPerMm;
  const py = ((seen[3 * a + 1] as number) - (seen[3 * b + 1] as number)) / pxPerMm;
  const pz = (seen[3 * b + 2] as number) - (seen[3 * a + 2] as number);
  const qx = ((seen[3 * c] as number) - (seen[3 * a] as number)) / pxPerMm;
  const qy = ((seen[3 * a + 1] as number) - (seen[3 * c + 1] as number)) / pxPerMm;
  const qz = (seen[3 * c + 2] as number) - (seen[3 * a + 2] as number);
  const nx = py * qz - pz * qy;
  const ny = pz * qx - px * qz;
  const nz = px * qy - py * qx;
  const size = (Math.sqrt(nx * nx + ny * ny + nz * nz) || 1) * (nz < 0 ? -1 : 1);
  const lit = Math.max(0, (nx * light[0] + ny * light[1] + nz * light[2]) / size);
  const shine = sheen > 0 ? Math.max(0, (nx * gloss[0] + ny * gloss[1] + nz * gloss[2]) / size) ** 24 : 0;
  return { lit: 0.38 + 0.62 * lit, shine: 0.35 * sheen * shine };
}

/** The colour of a place of the cloth as it is seen, 0 to 255. `z` is mm toward the eye: what lies further in is darker, as between layers. */
export function seenColour(acrossMm: number, alongMm: number, z: number, { lit, shine }: Shade, { colours, weave }: PictureRequest): Rgb {
  const colour = colours[weave(acrossMm, alongMm)] ?? colours[0];
  const inward = Math.max(0.55, Math.min(1.05, 1 + shadowOfDepth * (z - 4)));
  return [litPart(colour[0], lit, shine, inward), litPart(colour[1], lit, shine, inward), litPart(colour[2], lit, shine, inward)];
}

function litPart(part: number, lit: number, shine: number, inward: number): number {
  return 255 * Math.min(1, ((part / 255) * lit + shine) * inward);
}
