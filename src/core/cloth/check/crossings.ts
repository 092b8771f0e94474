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
  readonly box: Box;
}

/** The least and the most of x, y and z, mm. */
type Box = readonly [fromX: number, toX: number, fromY: number, toY: number, fromZ: number, toZ: number];

/**
 * Where cloth goes through other cloth: how many edges along and across pass through a face of a part that is
 * elsewhere along the tie.
 */
export function crossings(mesh: ClothMesh): number {
  const { position: p } = mesh;
  const cells = new Map<number, Face[]>();
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
          const face = { corners, strand: which as 0 | 1, row, along, box: boxOf(corners, at) };
          for (const cell of cellsOf(face.box)) {
            const here = cells.get(cell);
            if (here) here.push(face);
            else cells.set(cell, [face]);
          }
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
          const box = boxOf([v, w], at);
          const near = new Set<Face>();
          for (const cell of cellsOf(box)) for (const face of cells.get(cell) ?? []) if (meet(box, face.box)) near.add(face);
          for (const face of near) {
            if (face.strand === which && isOneFold(face, row, lastRow, along)) continue;
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

function boxOf(vertices: readonly number[], at: (v: number, axis: number) => number): Box {
  const box: [number, number, number, number, number, number] = [
    Number.POSITIVE_INFINITY,
    Number.NEGATIVE_INFINITY,
    Number.POSITIVE_INFINITY,
    Number.NEGATIVE_INFINITY,
    Number.POSITIVE_INFINITY,
    Number.NEGATIVE_INFINITY,
  ];
  for (const v of vertices) {
    for (let axis = 0; axis < 3; axis++) {
      const mm = at(v, axis);
      if (mm < box[2 * axis]) box[2 * axis] = mm;
      if (mm > box[2 * axis + 1]) box[2 * axis + 1] = mm;
    }
  }
  return box;
}

function meet(a: Box, b: Box): boolean {
  return a[0] <= b[1] && b[0] <= a[1] && a[2] <= b[3] && b[2] <= a[3] && a[4] <= b[5] && b[4] <= a[5];
}

/** Cells are numbered so far to either side of the button along each axis: farther than any tie reaches. */
const cellsAside = 512;

function cellsOf([fromX, toX, fromY, toY, fromZ, toZ]: Box): number[] {
  const cell = (mm: number) => Math.floor(mm / cellMm) + cellsAside;
  const all: number[] = [];
  for (let x = cell(fromX); x <= cell(toX); x++)
    for (let y = cell(fromY); y <= cell(toY); y++)
      for (let z = cell(fromZ); z <= cell(toZ); z++) all.push((2 * cellsAside * x + y) * 2 * cellsAside + z);
  return all;
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
