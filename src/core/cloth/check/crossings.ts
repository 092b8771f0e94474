import { cross, dot, minus, type Vec3 } from '../../numeric/vector.ts';
import type { ClothMesh, Strand } from '../mesh/mesh.ts';

/** Parts nearer along the cloth than this, or that share a row, are one fold, not two layers, mm. */
const apartMm = 10;
const cellMm = 8;

interface Face {
  readonly corners: readonly [number, number, number];
  readonly strand: 0 | 1;
  readonly row: number;
  readonly along: number;
}

/**
 * Where cloth goes through other cloth: how many edges along and across pass through a face of a part that is
 * elsewhere along the tie.
 */
export function crossings(mesh: ClothMesh): number {
  const { position: p } = mesh;
  const faces: Face[] = [];
  const cells = new Map<string, number[]>();
  const at = (v: number, axis: number) => p[3 * v + axis] ?? 0;
  const strands: readonly Strand[] = [mesh.active, mesh.standing];
  strands.forEach((strand, which) => {
    let along = 0;
    for (let row = 0; row < strand.rows - 1; row++) {
      for (let c = 0; c < mesh.columns - 1; c++) {
        const v = strand.first + row * mesh.columns + c;
        for (const corners of [
          [v, v + 1, v + mesh.columns],
          [v + 1, v + mesh.columns + 1, v + mesh.columns],
        ] as const) {
          const index = faces.push({ corners, strand: which as 0 | 1, row, along }) - 1;
          for (const key of cellsOf(corners, at)) cells.set(key, [...(cells.get(key) ?? []), index]);
        }
      }
      along += strand.rest[row] ?? 0;
    }
  });
  let found = 0;
  strands.forEach((strand, which) => {
    let along = 0;
    for (let row = 0; row < strand.rows; row++) {
      for (let c = 0; c < mesh.columns; c++) {
        const v = strand.first + row * mesh.columns + c;
        for (const w of [row < strand.rows - 1 ? v + mesh.columns : -1, c < mesh.columns - 1 ? v + 1 : -1]) {
          if (w < 0) continue;
          const lastRow = w === v + 1 ? row : row + 1;
          const near = new Set([...cellsOf([v, w], at)].flatMap((key) => cells.get(key) ?? []));
          for (const index of near) {
            const face = faces[index];
            if (!face || (face.strand === which && isOneFold(face, row, lastRow, along))) continue;
            if (passes(v, w, face.corners, at)) found++;
          }
        }
      }
      along += strand.rest[row] ?? 0;
    }
  });
  return found;
}

function isOneFold(face: Face, row: number, lastRow: number, along: number): boolean {
  return Math.abs(face.along - along) < apartMm || (row <= face.row + 1 && lastRow >= face.row);
}

function cellsOf(vertices: readonly number[], at: (v: number, axis: number) => number): Set<string> {
  const range = [0, 1, 2].map((axis) => {
    const all = vertices.map((v) => Math.floor(at(v, axis) / cellMm));
    return [Math.min(...all), Math.max(...all)] as const;
  });
  const keys = new Set<string>();
  const [[x0, x1], [y0, y1], [z0, z1]] = range as [readonly [number, number], readonly [number, number], readonly [number, number]];
  for (let x = x0; x <= x1; x++) for (let y = y0; y <= y1; y++) for (let z = z0; z <= z1; z++) keys.add(`${x} ${y} ${z}`);
  return keys;
}

/** Whether the segment from v to w meets a triangle (Möller and Trumbore). */
function passes(v: number, w: number, [a, b, c]: readonly [number, number, number], at: (v: number, axis: number) => number): boolean {
  const place = (vertex: number): Vec3 => [at(vertex, 0), at(vertex, 1), at(vertex, 2)];
  const [from, corner] = [place(v), place(a)];
  const direction = minus(place(w), from);
  const [one, two, off] = [minus(place(b), corner), minus(place(c), corner), minus(from, corner)];
  const side = cross(direction, two);
  const determinant = dot(one, side);
  if (Math.abs(determinant) < 1e-9) return false;
  const u = dot(off, side) / determinant;
  if (u < 0 || u > 1) return false;
  const other = cross(off, one);
  const s = dot(direction, other) / determinant;
  if (s < 0 || u + s > 1) return false;
  const t = dot(two, other) / determinant;
  return t > 0 && t < 1;
}
