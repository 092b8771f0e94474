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
    const across = (width[row] as number) / (columns - 1);
    for (let c = 0; c < columns - 1; c++) {
      const i = at + 3 * c;
      hold(p, i, i + 3, across, widthPull, widthPush);
    }
    if (row < rows - 1) {
      const length = rest[row] as number;
      const resists = (moves[row] as number) >= openFrom ? pushHeldOpen : push;
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
  const dx = (p[j] as number) - (p[i] as number);
  const dy = (p[j + 1] as number) - (p[i + 1] as number);
  const dz = (p[j + 2] as number) - (p[i + 2] as number);
  const length = Math.sqrt(dx * dx + dy * dy + dz * dz);
  if (length < 1e-9) return;
  const over = length - rest;
  const share = (0.5 * (over > 0 ? pull : push) * over) / length;
  p[i] = (p[i] as number) + share * dx;
  p[i + 1] = (p[i + 1] as number) + share * dy;
  p[i + 2] = (p[i + 2] as number) + share * dz;
  p[j] = (p[j] as number) - share * dx;
  p[j + 1] = (p[j + 1] as number) - share * dy;
  p[j + 2] = (p[j + 2] as number) - share * dz;
}

/** Moves a point toward the middle of its two neighbours in the row, and them away from it by half as much. */
function straighten(p: Float64Array, i: number, k: number): void {
  for (let axis = 0; axis < 3; axis++) {
    const at = i + axis;
    const off = 0.5 * k * (((p[at - 3] as number) + (p[at + 3] as number)) / 2 - (p[at] as number));
    p[at] = (p[at] as number) + off;
    p[at - 3] = (p[at - 3] as number) - off / 2;
    p[at + 3] = (p[at + 3] as number) - off / 2;
  }
}

/** Bends a row across toward a set fold. */
function fold({ position: p, normal: n, columns }: ClothMesh, at: number, k: number, offset: Float64Array): void {
  for (let c = 1; c < columns - 1; c++) {
    const i = at + 3 * c;
    for (let axis = 0; axis < 3; axis++) {
      const wanted = ((p[i + axis - 3] as number) + (p[i + axis + 3] as number)) / 2 + (offset[c] as number) * (n[i + axis] as number);
      const off = 0.5 * k * 3 * (wanted - (p[i + axis] as number));
      p[i + axis] = (p[i + axis] as number) + off;
      p[i + axis - 3] = (p[i + axis - 3] as number) - off / 2;
      p[i + axis + 3] = (p[i + axis + 3] as number) - off / 2;
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
      const ax = (p[a] as number) - (p[b] as number);
      const ay = (p[a + 1] as number) - (p[b + 1] as number);
      const az = (p[a + 2] as number) - (p[b + 2] as number);
      const bx = (p[d] as number) - (p[e] as number);
      const by = (p[d + 1] as number) - (p[e + 1] as number);
      const bz = (p[d + 2] as number) - (p[e + 2] as number);
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
