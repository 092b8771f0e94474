import type { SeenCloth, SeenStrand } from './compact.ts';
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
}

/** Each quad of the mesh is drawn as so many by so many, along a smooth surface through its points. */
const finer = 3;
const light: Rgb = unit([-0.35, 0.55, 0.75]);
const shadowOfDepth = 0.011;

/** A picture of a tied knot as RGBA bytes, row by row; what shows nothing is transparent. Later cloth hides earlier by its depth alone. */
export function paintCloth(cloth: SeenCloth, request: PictureRequest): Uint8ClampedArray {
  const { widthPx, heightPx } = request;
  const pixels = new Uint8ClampedArray(4 * widthPx * heightPx);
  const depth = new Float32Array(widthPx * heightPx).fill(Number.NEGATIVE_INFINITY);
  for (const strand of [cloth.standing, cloth.active]) paintStrand(smoothed(strand, cloth.columns), request, pixels, depth);
  return pixels;
}

interface Surface {
  readonly rows: number;
  readonly columns: number;
  readonly position: Float64Array;
  /** Cloth coordinate of every point: across from the middle, and along, mm. */
  readonly cloth: Float64Array;
}

/** A finer surface through the points of a strand (Catmull and Rom's splines along and across). */
function smoothed({ rows, rest, position }: SeenStrand, columns: number): Surface {
  const fineRows = (rows - 1) * finer + 1;
  const fineColumns = (columns - 1) * finer + 1;
  const out = new Float64Array(3 * fineRows * fineColumns);
  const cloth = new Float64Array(2 * fineRows * fineColumns);
  const along = [0];
  for (let row = 0; row < rows - 1; row++) along.push((along[row] ?? 0) + (rest[row] ?? 0));
  const point = (row: number, column: number, axis: number) => {
    const r = Math.max(0, Math.min(rows - 1, row));
    const c = Math.max(0, Math.min(columns - 1, column));
    return position[3 * (r * columns + c) + axis] ?? 0;
  };
  for (let r = 0; r < fineRows; r++) {
    const row = Math.min(rows - 2, Math.floor(r / finer));
    const wr = weights(r / finer - row);
    for (let c = 0; c < fineColumns; c++) {
      const column = Math.min(columns - 2, Math.floor(c / finer));
      const wc = weights(c / finer - column);
      const at = r * fineColumns + c;
      for (let axis = 0; axis < 3; axis++) {
        let sum = 0;
        for (let i = 0; i < 4; i++)
          for (let j = 0; j < 4; j++) sum += (wr[i] ?? 0) * (wc[j] ?? 0) * point(row + i - 1, column + j - 1, axis);
        out[3 * at + axis] = sum;
      }
      const share = r / finer - row;
      cloth[2 * at + 1] = (along[row] ?? 0) + share * ((along[row + 1] ?? 0) - (along[row] ?? 0));
    }
    // Across, the cloth is as far from the middle as its threads are long.
    for (const way of [1, -1]) {
      let from = 0;
      const middle = (fineColumns - 1) / 2;
      for (let step = 1; step <= middle; step++) {
        const a = r * fineColumns + middle + way * step;
        const b = a - way;
        from += Math.sqrt([0, 1, 2].reduce((sum, axis) => sum + ((out[3 * a + axis] ?? 0) - (out[3 * b + axis] ?? 0)) ** 2, 0));
        cloth[2 * a] = way * from;
      }
    }
  }
  return { rows: fineRows, columns: fineColumns, position: out, cloth };
}

function weights(t: number): readonly number[] {
  return [0.5 * (-t + 2 * t * t - t ** 3), 0.5 * (2 - 5 * t * t + 3 * t ** 3), 0.5 * (t + 4 * t * t - 3 * t ** 3), 0.5 * (-t * t + t ** 3)];
}

function paintStrand(surface: Surface, request: PictureRequest, pixels: Uint8ClampedArray, depth: Float32Array): void {
  const { rows, columns, position, cloth } = surface;
  const { pxPerMm, centrePx, turnDeg, facing } = request;
  const [cos, sin] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
  const side = facing ? -1 : 1;
  const seen = new Float64Array(3 * rows * columns);
  for (let v = 0; v < rows * columns; v++) {
    const [x, y, z] = [position[3 * v] ?? 0, position[3 * v + 1] ?? 0, position[3 * v + 2] ?? 0];
    seen[3 * v] = centrePx[0] + pxPerMm * side * (x * cos + z * sin);
    seen[3 * v + 1] = centrePx[1] - pxPerMm * y;
    seen[3 * v + 2] = z * cos - x * sin;
  }
  for (let row = 0; row < rows - 1; row++) {
    for (let c = 0; c < columns - 1; c++) {
      const v = row * columns + c;
      const shade = shadeOf(seen, v, v + 1, v + columns, request.sheen, pxPerMm);
      paintFace([v, v + 1, v + columns], seen, cloth, shade, request, pixels, depth);
      paintFace([v + 1, v + columns + 1, v + columns], seen, cloth, shade, request, pixels, depth);
    }
  }
}

/** Light on a face, whichever of its sides is seen. */
function shadeOf(
  seen: Float64Array,
  a: number,
  b: number,
  c: number,
  sheen: number,
  pxPerMm: number,
): readonly [light: number, shine: number] {
  const edge = (to: number): Rgb => [
    ((seen[3 * to] ?? 0) - (seen[3 * a] ?? 0)) / pxPerMm,
    -((seen[3 * to + 1] ?? 0) - (seen[3 * a + 1] ?? 0)) / pxPerMm,
    (seen[3 * to + 2] ?? 0) - (seen[3 * a + 2] ?? 0),
  ];
  const [p, q] = [edge(b), edge(c)];
  const raw = unit([p[1] * q[2] - p[2] * q[1], p[2] * q[0] - p[0] * q[2], p[0] * q[1] - p[1] * q[0]]);
  const turn = raw[2] < 0 ? -1 : 1;
  const lit = Math.max(0, turn * (raw[0] * light[0] + raw[1] * light[1] + raw[2] * light[2]));
  const half = unit([light[0], light[1], light[2] + 1]);
  const shine = Math.max(0, turn * (raw[0] * half[0] + raw[1] * half[1] + raw[2] * half[2])) ** 24;
  return [0.38 + 0.62 * lit, 0.35 * sheen * shine];
}

function paintFace(
  corners: readonly [number, number, number],
  seen: Float64Array,
  cloth: Float64Array,
  [lit, shine]: readonly [number, number],
  { widthPx, heightPx, colours, weave }: PictureRequest,
  pixels: Uint8ClampedArray,
  depth: Float32Array,
): void {
  const [a, b, c] = corners;
  const x = (v: number) => seen[3 * v] ?? 0;
  const y = (v: number) => seen[3 * v + 1] ?? 0;
  const [ax, ay, bx, by, cx, cy] = [x(a), y(a), x(b), y(b), x(c), y(c)];
  const area = (by - cy) * (ax - cx) + (cx - bx) * (ay - cy);
  if (Math.abs(area) < 1e-9) return;
  const fromX = Math.max(0, Math.ceil(Math.min(ax, bx, cx) - 0.5));
  const toX = Math.min(widthPx - 1, Math.floor(Math.max(ax, bx, cx)));
  const fromY = Math.max(0, Math.ceil(Math.min(ay, by, cy) - 0.5));
  const toY = Math.min(heightPx - 1, Math.floor(Math.max(ay, by, cy)));
  for (let py = fromY; py <= toY; py++) {
    for (let px = fromX; px <= toX; px++) {
      const u = ((by - cy) * (px + 0.5 - cx) + (cx - bx) * (py + 0.5 - cy)) / area;
      const w = ((cy - ay) * (px + 0.5 - cx) + (ax - cx) * (py + 0.5 - cy)) / area;
      const q = 1 - u - w;
      if (u < -1e-6 || w < -1e-6 || q < -1e-6) continue;
      const z = u * (seen[3 * a + 2] ?? 0) + w * (seen[3 * b + 2] ?? 0) + q * (seen[3 * c + 2] ?? 0);
      const at = py * widthPx + px;
      if (z <= (depth[at] ?? 0)) continue;
      depth[at] = z;
      const mix = (k: 0 | 1) => u * (cloth[2 * a + k] ?? 0) + w * (cloth[2 * b + k] ?? 0) + q * (cloth[2 * c + k] ?? 0);
      const colour = colours[weave(mix(0), mix(1))] ?? colours[0];
      // What lies further in is darker, as between layers.
      const inward = Math.max(0.55, Math.min(1.05, 1 + shadowOfDepth * (z - 4)));
      for (let k = 0; k < 3; k++) pixels[4 * at + k] = 255 * Math.min(1, (((colour[k] ?? 0) / 255) * lit + shine) * inward);
      pixels[4 * at + 3] = 255;
    }
  }
}

function unit([x, y, z]: Rgb): Rgb {
  const length = Math.sqrt(x * x + y * y + z * z) || 1;
  return [x / length, y / length, z / length];
}
