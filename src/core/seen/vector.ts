import type { SeenCloth } from '../cloth/mesh/compact.ts';
import { type PictureRequest, project, seenColour, shadeOf, sideSeen } from './picture.ts';
import { coverFace, emptyDepth } from './raster.ts';
import { smoothSurface } from './surface.ts';

const finer = 2;
/** Pixels a picture's unit is looked at closely in, to find which faces are seen at all. */
const closer = 2;
/** Faces are drawn this much larger than they are, px, so that no seam shows between them. */
const overlapPx = 0.45;

interface Face {
  readonly points: readonly (readonly [number, number])[];
  readonly z: number;
  readonly fill: string;
}

/**
 * A tied knot as SVG, for print: the faces that are seen, each in one colour, the furthest first. Sizes as in
 * {@link paintCloth}, its pixels being the units of the drawing.
 */
export function drawCloth(cloth: SeenCloth, request: PictureRequest, title: string): string {
  const { widthPx, heightPx } = request;
  const isSeen = seenFaces(cloth, request);
  const faces: Face[] = [];
  let face = 0;
  for (const strand of [cloth.standing, cloth.active]) {
    const surface = smoothSurface(strand, cloth.columns, finer);
    const seen = project(surface, request);
    const { columns, rows, cloth: place } = surface;
    for (let row = 0; row < rows - 1; row++) {
      for (let c = 0; c < columns - 1; c++) {
        if (!isSeen.has(face++)) continue;
        const v = row * columns + c;
        const corners = [v, v + 1, v + columns + 1, v + columns];
        const mean = (of: (corner: number) => number) => corners.reduce((sum, corner) => sum + of(corner), 0) / 4;
        const z = mean((corner) => seen[3 * corner + 2] ?? 0);
        const colour = seenColour(
          mean((corner) => place[2 * corner] ?? 0),
          mean((corner) => place[2 * corner + 1] ?? 0),
          z,
          shadeOf(seen, v, v + 1, v + columns, request.sheen, request.pxPerMm),
          sideSeen(seen, v, v + 1, v + columns, request),
        );
        const points = corners.map((corner) => [seen[3 * corner] ?? 0, seen[3 * corner + 1] ?? 0] as const);
        faces.push({ points, z, fill: `#${colour.map((part) => Math.round(part).toString(16).padStart(2, '0')).join('')}` });
      }
    }
  }
  const paths = faces
    .toSorted((a, b) => a.z - b.z)
    .map(
      ({ points, fill }) =>
        `<path fill="${fill}" stroke="${fill}" d="M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z"/>`,
    );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${widthPx} ${heightPx}" role="img" aria-label="${escaped(title)}"><title>${escaped(title)}</title><g stroke-width="${overlapPx}" stroke-linejoin="round">${paths.join('')}</g></svg>\n`;
}

/** Which faces show anywhere, counted as they are drawn. */
function seenFaces(cloth: SeenCloth, request: PictureRequest): ReadonlySet<number> {
  const near = {
    ...request,
    pxPerMm: closer * request.pxPerMm,
    centrePx: [closer * request.centrePx[0], closer * request.centrePx[1]] as const,
  };
  const depth = emptyDepth(closer * request.widthPx, closer * request.heightPx);
  const nearest = new Int32Array(depth.widthPx * depth.heightPx).fill(-1);
  let face = 0;
  for (const strand of [cloth.standing, cloth.active]) {
    const surface = smoothSurface(strand, cloth.columns, finer);
    const { rows, columns } = surface;
    const seen = project(surface, near);
    for (let row = 0; row < rows - 1; row++) {
      for (let c = 0; c < columns - 1; c++) {
        const v = row * columns + c;
        const number = face++;
        const mark = (at: number) => {
          nearest[at] = number;
        };
        coverFace(seen, v, v + 1, v + columns, depth, mark);
        coverFace(seen, v + 1, v + columns + 1, v + columns, depth, mark);
      }
    }
  }
  return new Set(nearest);
}

function escaped(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;');
}
