import type { ClothMesh, Strand } from '../mesh/mesh.ts';

/** Shares of a fault that one sweep puts right: how stiff the cloth is in each direction. */
const pull = 0.5;
/** Cloth that is drawn up hardly resists being gathered along itself, where it is not held open. */
const push = 0.03;
const pushHeldOpen = 0.25;
const widthPull = 0.4;
const widthPush = 0.3;
const shear = 0.05;
const bendAcross = 0.3;

/** How deep a set crease lies at each column, mm inward from flat; rows before and after it have none. */
export interface Crease {
  readonly firstRow: number;
  readonly lastRow: number;
  /** Rest offset of each column from the middle of its neighbours, mm along the normal. */
  readonly offset: Float64Array;
}

/**
 * One sweep over the stretch, width and shear of a strand and its bending across; along itself it is bent by its
 * {@link Pull}. From the move `openFrom` on its turns are held open.
 */
export function sweep(mesh: ClothMesh, strand: Strand, crease: Crease | undefined, openFrom: number): void {
  const { position: p, columns } = mesh;
  const { first, rows, rest, width, moves } = strand;
  const row3 = 3 * columns;
  for (let row = 0; row < rows; row++) {
    const at = 3 * (first + row * columns);
    const across = width[row] / (columns - 1);
    for (let c = 0; c < columns - 1; c++) {
      const i = at + 3 * c;
      hold(p, i, i + 3, across, widthPull, widthPush);
    }
    if (row < rows - 1) {
      const length = rest[row];
      const resists = moves[row] >= openFrom ? pushHeldOpen : push;
      for (let c = 0; c < columns; c++) hold(p, at + 3 * c, at + 3 * c + row3, length, pull, resists);
      const diagonal = Math.sqrt(length * length + across * across);
      for (let c = 0; c < columns - 1; c++) {
        hold(p, at + 3 * c, at + 3 * c + row3 + 3, diagonal, shear, shear);
        hold(p, at + 3 * c + 3, at + 3 * c + row3, diagonal, shear, shear);
      }
    }
    if (crease && row >= crease.firstRow && row <= crease.lastRow) {
      fold(mesh, at, bendAcross, crease.offset);
    } else {
      for (let c = 1; c < columns - 1; c++) straighten(p, at + 3 * c, bendAcross);
    }
  }
}

/** Brings two points nearer to their rest distance. */
function hold(p: Float64Array, i: number, j: number, rest: number, pull: number, push: number): void {
  const dx = p[j] - p[i];
  const dy = p[j + 1] - p[i + 1];
  const dz = p[j + 2] - p[i + 2];
  const length = Math.sqrt(dx * dx + dy * dy + dz * dz);
  if (length < 1e-9) return;
  const over = length - rest;
  const share = (0.5 * (over > 0 ? pull : push) * over) / length;
  p[i] += share * dx;
  p[i + 1] += share * dy;
  p[i + 2] += share * dz;
  p[j] -= share * dx;
  p[j + 1] -= share * dy;
  p[j + 2] -= share * dz;
}

/** Moves a point toward the middle of its two neighbours in the row, and them away from it by half as much. */
function straighten(p: Float64Array, i: number, k: number): void {
  for (let axis = 0; axis < 3; axis++) {
    const at = i + axis;
    const off = 0.5 * k * ((p[at - 3] + p[at + 3]) / 2 - p[at]);
    p[at] += off;
    p[at - 3] -= off / 2;
    p[at + 3] -= off / 2;
  }
}

/** Bends a row across toward a set fold. */
function fold({ position: p, normal: n, columns }: ClothMesh, at: number, k: number, offset: Float64Array): void {
  for (let c = 1; c < columns - 1; c++) {
    const i = at + 3 * c;
    for (let axis = 0; axis < 3; axis++) {
      const wanted = (p[i + axis - 3] + p[i + axis + 3]) / 2 + offset[c] * n[i + axis];
      const off = 0.5 * k * 3 * (wanted - p[i + axis]);
      p[i + axis] += off;
      p[i + axis - 3] -= off / 2;
      p[i + axis + 3] -= off / 2;
    }
  }
}

/** Unit normals from the neighbours along and across. */
export function measureNormals(mesh: ClothMesh, { first, rows }: Strand): void {
  const { position: p, normal: n, columns } = mesh;
  for (let row = 0; row < rows; row++) {
    const up = row < rows - 1 ? columns : 0;
    const down = row > 0 ? columns : 0;
    for (let c = 0; c < columns; c++) {
      const v = first + row * columns + c;
      const right = c < columns - 1 ? 1 : 0;
      const left = c > 0 ? 1 : 0;
      const [a, b, d, e] = [3 * (v + up), 3 * (v - down), 3 * (v + right), 3 * (v - left)];
      const ax = p[a] - p[b];
      const ay = p[a + 1] - p[b + 1];
      const az = p[a + 2] - p[b + 2];
      const bx = p[d] - p[e];
      const by = p[d + 1] - p[e + 1];
      const bz = p[d + 2] - p[e + 2];
      const x = ay * bz - az * by;
      const y = az * bx - ax * bz;
      const z = ax * by - ay * bx;
      const length = Math.sqrt(x * x + y * y + z * z) || 1;
      n[3 * v] = x / length;
      n[3 * v + 1] = y / length;
      n[3 * v + 2] = z / length;
    }
  }
}
