import type { ClothMesh, Strand } from '../mesh/mesh.ts';
import { CellGrid } from './cellGrid.ts';
import { Faces } from './faces.ts';

/** Points of one strand nearer to a face along the cloth than so many times its thickness are neighbours, not layers. */
const neighbourLayers = 1.75;
/** Pairs are sought so far beyond their reach: further while the cloth moves fast. */
const leastMarginMm = 0.8;
const mostMarginMm = 4;
const stepsBetween = 14;
const cellBeyondMm = 4;

/**
 * Which points of the cloth may come to touch which faces of another part, and how soon: a pair whose bound lies
 * beyond the ways that its point and its face have made since cannot touch and need not be looked at.
 */
export class NearPairs {
  count = 0;
  /** Of each pair: its point, its face, and the least way that the two must make together before they touch, mm. */
  point = new Int32Array(1 << 15);
  face = new Int32Array(1 << 15);
  bound = new Float32Array(1 << 15);
  readonly faces: Faces;
  /** Points that keep off: every vertex, and the middles of the borders between rows, as two vertices each. */
  readonly ends: Int32Array;
  /** Ways made since the pairs were found, mm: of each point, and at most of any corner of each face. */
  readonly pointWay: Float64Array;
  readonly faceWay: Float64Array;
  private isFound = false;
  private marginMm = mostMarginMm;
  private sinceFound = 0;
  private readonly along: Float64Array;
  private readonly strandOf: Uint8Array;
  private readonly pointAt: Float64Array;
  private readonly grid: CellGrid;
  private readonly foundAt: Float64Array;
  private readonly lastAt: Float64Array;
  private readonly stepWay: Float64Array;

  constructor(private readonly mesh: ClothMesh) {
    const { count, standing } = mesh;
    this.faces = new Faces(mesh);
    this.ends = pointsOf(mesh);
    const points = this.ends.length / 2;
    this.pointWay = new Float64Array(points);
    this.faceWay = new Float64Array(this.faces.count);
    this.along = new Float64Array(count);
    this.strandOf = new Uint8Array(count).fill(1, standing.first);
    this.pointAt = new Float64Array(3 * points);
    this.grid = new CellGrid(points);
    this.foundAt = new Float64Array(3 * count);
    this.lastAt = new Float64Array(3 * count);
    this.stepWay = new Float64Array(count);
  }

  /** Looks for the pairs anew when points have moved so far that others could have come to touch. */
  follow(): void {
    const { position: p } = this.mesh;
    this.sinceFound++;
    const most = this.isFound ? mostApart(p, this.foundAt) : Number.POSITIVE_INFINITY;
    if (2 * most < this.marginMm) return;
    if (this.isFound) this.marginMm = Math.min(mostMarginMm, Math.max(leastMarginMm, (2 * stepsBetween * most) / this.sinceFound));
    this.find();
    this.isFound = true;
    this.foundAt.set(p);
    this.lastAt.set(p);
    this.pointWay.fill(0);
    this.faceWay.fill(0);
    this.sinceFound = 0;
  }

  /** Adds what every vertex and face has moved since this was last asked. */
  advance(): void {
    const { mesh, lastAt, stepWay, pointWay, faceWay, faces, ends } = this;
    const { first } = faces;
    const { position: p, count, columns } = mesh;
    for (let v = 0; v < count; v++) stepWay[v] = Math.sqrt(squareApart(p, lastAt, 3 * v));
    for (let i = 0; i < pointWay.length; i++) pointWay[i] = pointWay[i] + (stepWay[ends[2 * i]] + stepWay[ends[2 * i + 1]]) / 2;
    for (let face = 0; face < faceWay.length; face++) {
      const a = first[face];
      const near = Math.max(stepWay[a], stepWay[a + 1]);
      const far = Math.max(stepWay[a + columns], stepWay[a + columns + 1]);
      faceWay[face] += Math.max(near, far);
    }
    lastAt.set(p);
    faces.outdate();
  }

  /** Looks for all points that may come to touch a face of another part before the margin is used up. */
  private find(): void {
    const { mesh, along, faces, ends, grid, strandOf, marginMm } = this;
    const { points, at, start } = grid;
    const { half } = mesh;
    let thickest = 0;
    for (let v = 0; v < half.length; v++) if (half[v] > thickest) thickest = half[v];
    measureAlong(mesh, mesh.active, along);
    measureAlong(mesh, mesh.standing, along);
    this.measurePoints();
    faces.outdate();
    grid.lay(this.pointAt, thickest + marginMm + cellBeyondMm);
    this.count = 0;
    for (let face = 0; face < faces.count; face++) {
      const a = faces.first[face];
      const size = faces.sizeOf(face);
      const mx = faces.middleOf(face, 0);
      const my = faces.middleOf(face, 1);
      const mz = faces.middleOf(face, 2);
      const own = half[a];
      const reach = size + own + thickest + marginMm;
      const square = reach * reach;
      const strand = strandOf[a];
      const here = along[a];
      const there = along[a + mesh.columns];
      const toX = grid.cellAt(0, mx + reach);
      const fromY = grid.cellAt(1, my - reach);
      const toY = grid.cellAt(1, my + reach);
      const fromZ = grid.cellAt(2, mz - reach);
      const toZ = grid.cellAt(2, mz + reach);
      for (let gx = grid.cellAt(0, mx - reach); gx <= toX; gx++) {
        for (let gy = fromY; gy <= toY; gy++) {
          const run = grid.runAt(gx, gy);
          const end = start[run + toZ + 1];
          for (let k = start[run + fromZ]; k < end; k++) {
            const x = at[3 * k];
            const y = at[3 * k + 1];
            const z = at[3 * k + 2];
            if ((x - mx) * (x - mx) + (y - my) * (y - my) + (z - mz) * (z - mz) > square) continue;
            const point = points[k];
            const v = ends[2 * point];
            const thicknessMm = own + half[v];
            if (strandOf[v] === strand) {
              const before = here - along[v];
              if (before <= 0 && along[v] <= there) continue;
              if (Math.max(before, along[v] - there) < neighbourLayers * thicknessMm) continue;
            }
            const apart = faces.leastApart(face, x, y, z) - thicknessMm;
            if (apart <= marginMm) this.push(point, face, apart);
          }
        }
      }
    }
  }

  /** Where every point is now. */
  private measurePoints(): void {
    const { ends, pointAt, mesh } = this;
    const { position: p } = mesh;
    for (let i = 0; i < ends.length / 2; i++) {
      const v = 3 * ends[2 * i];
      const w = 3 * ends[2 * i + 1];
      for (let axis = 0; axis < 3; axis++) pointAt[3 * i + axis] = (p[v + axis] + p[w + axis]) / 2;
    }
  }

  private push(point: number, face: number, apart: number): void {
    if (this.count === this.point.length) {
      this.point = grown(this.point, new Int32Array(2 * this.count));
      this.face = grown(this.face, new Int32Array(2 * this.count));
      this.bound = grown(this.bound, new Float32Array(2 * this.count));
    }
    const k = this.count++;
    this.point[k] = point;
    this.face[k] = face;
    this.bound[k] = apart;
  }
}

/** All entries of one array in a longer one. */
export function grown<T extends Int32Array | Float32Array | Float64Array>(from: T, to: T): T {
  to.set(from);
  return to;
}

/** The most that any point of `p` is from where it is in `q`. */
function mostApart(p: Float64Array, q: Float64Array): number {
  let most = 0;
  for (let i = 0; i < p.length; i += 3) {
    const square = squareApart(p, q, i);
    if (square > most) most = square;
  }
  return Math.sqrt(most);
}

export function squareApart(p: Float64Array, q: Float64Array, i: number): number {
  const dx = p[i] - q[i];
  const dy = p[i + 1] - q[i + 1];
  const dz = p[i + 2] - q[i + 2];
  return dx * dx + dy * dy + dz * dz;
}

/** Every vertex as a point of its own, and the middle of each piece of border. */
function pointsOf({ columns, count, active, standing }: ClothMesh): Int32Array {
  const ends: number[] = [];
  for (let v = 0; v < count; v++) ends.push(v, v);
  for (const { first, rows } of [active, standing])
    for (let row = 0; row < rows - 1; row++)
      for (const v of [first + row * columns, first + (row + 1) * columns - 1]) ends.push(v, v + columns);
  return Int32Array.from(ends);
}

/** How far along its strand each vertex lies, mm. */
function measureAlong({ columns }: ClothMesh, { first, rows, rest }: Strand, along: Float64Array): void {
  let at = 0;
  for (let row = 0; row < rows; row++) {
    along.fill(at, first + row * columns, first + (row + 1) * columns);
    at += rest[row] ?? 0;
  }
}
