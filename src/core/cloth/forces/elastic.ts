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
 * {@link Pull}. From the move `openFrom` on its turns are held open. It goes in from both edges to the middle at once, so
 * that a strand laid as in a mirror comes out as in a mirror, to the bit; that takes an odd number of columns.
 */
export function sweep(mesh: ClothMesh, strand: Strand, crease: Crease | undefined, openFrom: number): void {
  const { position: p, columns } = mesh;
  const { first, rows, rest, width, moves } = strand;
  const half = (columns - 1) / 2;
  const row3 = 3 * columns;
  for (let row = 0; row < rows; row++) {
    const at = 3 * (first + row * columns);
    const across = width[row] / (columns - 1);
    const middle = at + 3 * half;
    const end = at + row3 - 3;
    for (let c = 0; c < half - 1; c++) {
      hold(p, at + 3 * c, at + 3 * c + 3, across, widthPull, widthPush);
      hold(p, end - 3 * c, end - 3 * c - 3, across, widthPull, widthPush);
    }
    holdBoth(p, middle, middle - 3, middle + 3, across, widthPull, widthPush);
    if (row < rows - 1) {
      const length = rest[row];
      const resists = moves[row] >= openFrom ? pushHeldOpen : push;
      for (let c = 0; c < columns; c++) hold(p, at + 3 * c, at + 3 * c + row3, length, pull, resists);
      const diagonal = Math.sqrt(length * length + across * across);
      for (let c = 0; c < half - 1; c++) {
        hold(p, at + 3 * c, at + 3 * c + row3 + 3, diagonal, shear, shear);
        hold(p, at + 3 * c + 3, at + 3 * c + row3, diagonal, shear, shear);
        hold(p, end - 3 * c, end - 3 * c + row3 - 3, diagonal, shear, shear);
        hold(p, end - 3 * c - 3, end - 3 * c + row3, diagonal, shear, shear);
      }
      holdBoth(p, middle, middle + row3 - 3, middle + row3 + 3, diagonal, shear, shear);
      holdBoth(p, middle + row3, middle - 3, middle + 3, diagonal, shear, shear);
    }
    const offset = crease && row >= crease.firstRow && row <= crease.lastRow ? crease.offset : undefined;
    for (let c = 1; c < half - 1; c++) {
      bend(mesh, at + 3 * c, offset?.[c]);
      bend(mesh, end - 3 * c, offset?.[columns - 1 - c]);
    }
    if (half > 1) bendBoth(mesh, middle, offset?.[half - 1], offset?.[half + 1]);
    bend(mesh, middle, offset?.[half]);
  }
}

/** Brings two points nearer to their rest distance. */
function hold(p: Float64Array, i: number, j: number, rest: number, pull: number, push: number): void {
  const dx = p[j] - p[i];
  const dy = p[j + 1] - p[i + 1];
  const dz = p[j + 2] - p[i + 2];
  const share = shareOf(dx, dy, dz, rest, pull, push);
  const x = share * dx;
  const y = share * dy;
  const z = share * dz;
  p[i] += x;
  p[i + 1] += y;
  p[i + 2] += z;
  p[j] -= x;
  p[j + 1] -= y;
  p[j + 2] -= z;
}

/** Brings a point and two others on either side of it nearer to their rest distance, both as they were. */
function holdBoth(p: Float64Array, i: number, j: number, k: number, rest: number, pull: number, push: number): void {
  let jx = p[j] - p[i];
  let jy = p[j + 1] - p[i + 1];
  let jz = p[j + 2] - p[i + 2];
  let kx = p[k] - p[i];
  let ky = p[k + 1] - p[i + 1];
  let kz = p[k + 2] - p[i + 2];
  const ofJ = shareOf(jx, jy, jz, rest, pull, push);
  const ofK = shareOf(kx, ky, kz, rest, pull, push);
  jx *= ofJ;
  jy *= ofJ;
  jz *= ofJ;
  kx *= ofK;
  ky *= ofK;
  kz *= ofK;
  p[i] += jx + kx;
  p[i + 1] += jy + ky;
  p[i + 2] += jz + kz;
  p[j] -= jx;
  p[j + 1] -= jy;
  p[j + 2] -= jz;
  p[k] -= kx;
  p[k + 1] -= ky;
  p[k + 2] -= kz;
}

/** Which share of the way between two points, given as x, y, z, each of them goes. */
function shareOf(dx: number, dy: number, dz: number, rest: number, pull: number, push: number): number {
  const length = Math.sqrt(dx * dx + dy * dy + dz * dz);
  if (length < 1e-9) return 0;
  const over = length - rest;
  return (0.5 * (over > 0 ? pull : push) * over) / length;
}

/** A set fold is held so much harder than cloth is held flat. */
const foldHeld = 3;

/** Moves a point toward the middle of its two neighbours in the row, or `offset` mm off it where a fold is set, and them away from it by half as much. */
function bend({ position: p, normal: n }: ClothMesh, i: number, offset: number | undefined): void {
  for (let at = i; at < i + 3; at++) {
    const off = offAt(p, n, at, offset);
    p[at] += off;
    p[at - 3] -= off / 2;
    p[at + 3] -= off / 2;
  }
}

/** Bends at the two points beside a middle one, both as they were. */
function bendBoth({ position: p, normal: n }: ClothMesh, middle: number, left: number | undefined, right: number | undefined): void {
  for (let at = middle; at < middle + 3; at++) {
    const ofLeft = offAt(p, n, at - 3, left);
    const ofRight = offAt(p, n, at + 3, right);
    p[at - 6] -= ofLeft / 2;
    p[at + 6] -= ofRight / 2;
    p[at] -= (ofLeft + ofRight) / 2;
    p[at - 3] += ofLeft;
    p[at + 3] += ofRight;
  }
}

function offAt(p: Float64Array, n: Float64Array, at: number, offset: number | undefined): number {
  const flat = (p[at - 3] + p[at + 3]) / 2 - p[at];
  return 0.5 * bendAcross * (offset === undefined ? flat : foldHeld * (flat + offset * n[at]));
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
