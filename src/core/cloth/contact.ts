import type { ClothMesh, Strand } from './mesh.ts';
import { nearestOnTriangle } from './nearest.ts';

/** Points of one strand nearer along the cloth than this are neighbours, not layers, mm. */
const alongMm = 12;
/** Share of what is pressed in that one pass puts right. */
const correction = 0.5;
const pressedMm = 0.35;
/** Pairs are sought so far beyond their reach: further while the cloth moves fast. */
const leastMarginMm = 0.8;
const mostMarginMm = 2.5;
/** While few pairs are near each other a wider margin costs nothing. */
const fewPairs = 15_000;
const wideMarginMm = 5;
const stepsBetween = 5;
/** A point may come so much nearer to other cloth in one step: it can never pass through. */
const shareOfRoom = 0.4;
/** Room of a point that touches nothing, mm. */
const freeMm = 2;

/**
 * Self-contact of the cloth as it is: points keep a layer's thickness from the triangles of other parts.
 * No point moves further in a step than a share of its room, so no cloth can pass through other cloth.
 */
export class Contacts {
  /** How many touch, and how many of them are pressed in too far, after the last pass. */
  touching = 0;
  pressed = 0;
  /** Deepest that two layers are pressed into each other, mm. */
  deepest = 0;
  /** Distance of every point to the nearest cloth that it touches, before this step, mm. */
  private readonly room: Float64Array;
  private readonly moved: Float64Array;
  private pairs = 0;
  private point = new Int32Array(1 << 15);
  private triangle = new Int32Array(1 << 15);
  private apart = new Float32Array(1 << 15);
  private isFound = false;
  private marginMm = mostMarginMm;
  private sinceFound = 0;
  private readonly corners: Int32Array;
  /** Points that keep off: every vertex, and the middles of the borders between rows, as two vertices each. */
  private readonly ends: Int32Array;
  private readonly along: Float64Array;
  private readonly strandOf: Uint8Array;
  private readonly cell: Int32Array;
  private readonly place: Int32Array;
  private readonly start = new Int32Array(buckets + 1);
  private readonly next = new Int32Array(buckets + 1);
  private readonly sorted: Int32Array;
  /** Where the points are, in the same order. */
  private readonly sortedAt: Float64Array;
  private readonly foundAt: Float64Array;
  private readonly share = new Float64Array(3);
  private readonly shareBefore = new Float64Array(3);

  constructor(private readonly mesh: ClothMesh) {
    const { count, standing } = mesh;
    this.corners = trianglesOf(mesh);
    this.ends = pointsOf(mesh);
    const points = this.ends.length / 2;
    this.along = new Float64Array(count);
    this.strandOf = new Uint8Array(count).fill(1, standing.first);
    this.cell = new Int32Array(points);
    this.place = new Int32Array(3 * points);
    this.sorted = new Int32Array(points);
    this.sortedAt = new Float64Array(3 * points);
    this.foundAt = new Float64Array(3 * count);
    this.room = new Float64Array(count);
    this.moved = new Float64Array(count);
  }

  /** Looks for the pairs anew when points have moved so far that others could have come to touch. */
  follow(): void {
    const { position: p } = this.mesh;
    const { foundAt, moved } = this;
    this.sinceFound++;
    let most = this.isFound ? 0 : Number.POSITIVE_INFINITY;
    for (let v = 0; v < moved.length; v++) {
      const dx = (p[3 * v] as number) - (foundAt[3 * v] as number);
      const dy = (p[3 * v + 1] as number) - (foundAt[3 * v + 1] as number);
      const dz = (p[3 * v + 2] as number) - (foundAt[3 * v + 2] as number);
      const distance = Math.sqrt(dx * dx + dy * dy + dz * dz);
      moved[v] = distance;
      if (distance > most) most = distance;
    }
    if (2 * most < this.marginMm) return;
    if (this.isFound)
      this.marginMm = Math.min(
        this.pairs < fewPairs ? wideMarginMm : mostMarginMm,
        Math.max(leastMarginMm, (2 * stepsBetween * most) / this.sinceFound),
      );
    this.find();
    this.isFound = true;
    foundAt.set(p);
    moved.fill(0);
    this.sinceFound = 0;
  }

  /** Looks for all points that may come to touch a triangle of another part before the margin is used up. */
  private find(): void {
    const { mesh, along, corners, ends, start, sorted, sortedAt, place, strandOf, share, marginMm } = this;
    const { position: p, half } = mesh;
    let thickest = 0;
    for (let v = 0; v < half.length; v++) if ((half[v] as number) > thickest) thickest = half[v] as number;
    const cellMm = thickest + marginMm + 3;
    measureAlong(mesh, mesh.active, along);
    measureAlong(mesh, mesh.standing, along);
    this.shelve(cellMm);
    this.pairs = 0;
    for (let face = 0; face < corners.length; face += 6) {
      const a = corners[face] as number;
      const b = a + 1;
      const c = a + mesh.columns;
      const d = c + 1;
      const mx = ((p[3 * a] as number) + (p[3 * b] as number) + (p[3 * c] as number) + (p[3 * d] as number)) / 4;
      const my = ((p[3 * a + 1] as number) + (p[3 * b + 1] as number) + (p[3 * c + 1] as number) + (p[3 * d + 1] as number)) / 4;
      const mz = ((p[3 * a + 2] as number) + (p[3 * b + 2] as number) + (p[3 * c + 2] as number) + (p[3 * d + 2] as number)) / 4;
      const size = Math.sqrt(
        Math.max(squareTo(p, a, mx, my, mz), squareTo(p, b, mx, my, mz), squareTo(p, c, mx, my, mz), squareTo(p, d, mx, my, mz)),
      );
      const own = half[a] as number;
      const reach = size + own + thickest + marginMm;
      const square = reach * reach;
      const strand = strandOf[a] as number;
      const here = along[a] as number;
      const toX = Math.floor((mx + reach) / cellMm);
      const toY = Math.floor((my + reach) / cellMm);
      const toZ = Math.floor((mz + reach) / cellMm);
      for (let gx = Math.floor((mx - reach) / cellMm); gx <= toX; gx++) {
        for (let gy = Math.floor((my - reach) / cellMm); gy <= toY; gy++) {
          for (let gz = Math.floor((mz - reach) / cellMm); gz <= toZ; gz++) {
            const bucket = bucketOf(gx, gy, gz);
            const end = start[bucket + 1] as number;
            for (let k = start[bucket] as number; k < end; k++) {
              const x = sortedAt[3 * k] as number;
              const y = sortedAt[3 * k + 1] as number;
              const z = sortedAt[3 * k + 2] as number;
              const d2 = (x - mx) * (x - mx) + (y - my) * (y - my) + (z - mz) * (z - mz);
              if (d2 > square) continue;
              const point = sorted[k] as number;
              const v = ends[2 * point] as number;
              if (strandOf[v] === strand && Math.abs((along[v] as number) - here) < alongMm) continue;
              const within = own + (half[v] as number) + marginMm;
              if (d2 > (size + within) * (size + within)) continue;
              // Two cells may share a bucket: a point is taken in its own cell only.
              if (place[3 * point] !== gx || place[3 * point + 1] !== gy || place[3 * point + 2] !== gz) continue;
              for (let t = face; t < face + 6; t += 3) {
                const i = 3 * (corners[t] as number);
                const j = 3 * (corners[t + 1] as number);
                const l = 3 * (corners[t + 2] as number);
                const nearest = nearestOnTriangle(p, x, y, z, i, j, l, share);
                if (nearest < within * within) this.push(point, t, Math.sqrt(nearest) - own - (half[v] as number));
              }
            }
          }
        }
      }
    }
  }

  /** Points by the cell they are in. */
  private shelve(cellMm: number): void {
    const { cell, start, next, sorted, sortedAt, place, ends, mesh } = this;
    const { position: p } = mesh;
    start.fill(0);
    for (let i = 0; i < cell.length; i++) {
      const v = 3 * (ends[2 * i] as number);
      const w = 3 * (ends[2 * i + 1] as number);
      const x = Math.floor(((p[v] as number) + (p[w] as number)) / 2 / cellMm);
      const y = Math.floor(((p[v + 1] as number) + (p[w + 1] as number)) / 2 / cellMm);
      const z = Math.floor(((p[v + 2] as number) + (p[w + 2] as number)) / 2 / cellMm);
      place[3 * i] = x;
      place[3 * i + 1] = y;
      place[3 * i + 2] = z;
      const bucket = bucketOf(x, y, z);
      cell[i] = bucket;
      start[bucket + 1] = (start[bucket + 1] as number) + 1;
    }
    for (let k = 0; k < buckets; k++) start[k + 1] = (start[k + 1] as number) + (start[k] as number);
    next.set(start);
    for (let i = 0; i < cell.length; i++) {
      const bucket = cell[i] as number;
      const slot = next[bucket] as number;
      sorted[slot] = i;
      const v = 3 * (ends[2 * i] as number);
      const w = 3 * (ends[2 * i + 1] as number);
      for (let axis = 0; axis < 3; axis++) sortedAt[3 * slot + axis] = ((p[v + axis] as number) + (p[w + axis] as number)) / 2;
      next[bucket] = slot + 1;
    }
  }

  /** One pass over all pairs that may touch: points too near a triangle are pushed off it, and it off them. */
  pass(): void {
    const { point, triangle, apart, corners, ends, share, room, moved, mesh } = this;
    const { position: p, half } = mesh;
    let deepest = 0;
    let touching = 0;
    let pressed = 0;
    room.fill(freeMm);
    for (let k = 0; k < this.pairs; k++) {
      const i = point[k] as number;
      const v = ends[2 * i] as number;
      const w = ends[2 * i + 1] as number;
      const t = triangle[k] as number;
      const a = corners[t] as number;
      const b = corners[t + 1] as number;
      const c = corners[t + 2] as number;
      const nearer =
        Math.max(moved[v] as number, moved[w] as number) + Math.max(moved[a] as number, moved[b] as number, moved[c] as number);
      if ((apart[k] as number) > nearer) continue;
      const thicknessMm = (half[v] as number) + (half[a] as number);
      const x = ((p[3 * v] as number) + (p[3 * w] as number)) / 2;
      const y = ((p[3 * v + 1] as number) + (p[3 * w + 1] as number)) / 2;
      const z = ((p[3 * v + 2] as number) + (p[3 * w + 2] as number)) / 2;
      const d2 = nearestOnTriangle(p, x, y, z, 3 * a, 3 * b, 3 * c, share);
      if (d2 >= thicknessMm * thicknessMm || d2 < 1e-12) continue;
      const d = Math.sqrt(d2);
      const sa = share[0] as number;
      const sb = share[1] as number;
      const sc = share[2] as number;
      const depth = thicknessMm - d;
      touching++;
      if (depth > deepest) deepest = depth;
      if (depth > pressedMm) pressed++;
      const free = Math.sqrt(this.squareBefore(v, w, a, b, c));
      if (free < (room[v] as number)) room[v] = free;
      if (free < (room[w] as number)) room[w] = free;
      if (free < (room[a] as number)) room[a] = free;
      if (free < (room[b] as number)) room[b] = free;
      if (free < (room[c] as number)) room[c] = free;
      const own = v === w ? 1 : 0.5;
      const push = (correction * depth) / ((own + sa * sa + sb * sb + sc * sc) * d);
      for (let axis = 0; axis < 3; axis++) {
        const ia = 3 * a + axis;
        const ib = 3 * b + axis;
        const ic = 3 * c + axis;
        const iv = 3 * v + axis;
        const iw = 3 * w + axis;
        const at = ((p[iv] as number) + (p[iw] as number)) / 2;
        const off = push * (at - sa * (p[ia] as number) - sb * (p[ib] as number) - sc * (p[ic] as number));
        p[iv] = (p[iv] as number) + own * off;
        if (v !== w) p[iw] = (p[iw] as number) + own * off;
        p[ia] = (p[ia] as number) - sa * off;
        p[ib] = (p[ib] as number) - sb * off;
        p[ic] = (p[ic] as number) - sc * off;
      }
    }
    this.deepest = deepest;
    this.touching = touching;
    this.pressed = pressed;
  }

  /** Square of the distance from a point to a triangle as both were before this step. */
  private squareBefore(v: number, w: number, a: number, b: number, c: number): number {
    const { before: q } = this.mesh;
    const x = ((q[3 * v] as number) + (q[3 * w] as number)) / 2;
    const y = ((q[3 * v + 1] as number) + (q[3 * w + 1] as number)) / 2;
    const z = ((q[3 * v + 2] as number) + (q[3 * w + 2] as number)) / 2;
    return nearestOnTriangle(q, x, y, z, 3 * a, 3 * b, 3 * c, this.shareBefore);
  }

  /** Takes back what a point moved in this step beyond its share of the room it had. */
  keepRoom(): void {
    const { room, mesh } = this;
    const { position: p, before: q, count } = mesh;
    for (let v = 0; v < count; v++) {
      const most = shareOfRoom * (room[v] as number);
      const i = 3 * v;
      const dx = (p[i] as number) - (q[i] as number);
      const dy = (p[i + 1] as number) - (q[i + 1] as number);
      const dz = (p[i + 2] as number) - (q[i + 2] as number);
      const square = dx * dx + dy * dy + dz * dz;
      if (square <= most * most) continue;
      const kept = most / Math.sqrt(square);
      p[i] = (q[i] as number) + kept * dx;
      p[i + 1] = (q[i + 1] as number) + kept * dy;
      p[i + 2] = (q[i + 2] as number) + kept * dz;
    }
  }

  private push(v: number, t: number, d: number): void {
    if (this.pairs === this.point.length) {
      this.point = grown(this.point, new Int32Array(2 * this.pairs));
      this.triangle = grown(this.triangle, new Int32Array(2 * this.pairs));
      this.apart = grown(this.apart, new Float32Array(2 * this.pairs));
    }
    const k = this.pairs++;
    this.point[k] = v;
    this.triangle[k] = t;
    this.apart[k] = d;
  }
}

const buckets = 1 << 13;

function grown<T extends Int32Array | Float32Array>(from: T, to: T): T {
  to.set(from);
  return to;
}

function bucketOf(x: number, y: number, z: number): number {
  return (Math.imul(x, 73856093) ^ Math.imul(y, 19349663) ^ Math.imul(z, 83492791)) & (buckets - 1);
}

function squareTo(p: Float64Array, v: number, x: number, y: number, z: number): number {
  const dx = (p[3 * v] as number) - x;
  const dy = (p[3 * v + 1] as number) - y;
  const dz = (p[3 * v + 2] as number) - z;
  return dx * dx + dy * dy + dz * dz;
}

/** Two triangles a face, their corners as vertices of the mesh; the first corner tells their place along the cloth. */
function trianglesOf({ columns, active, standing }: ClothMesh): Int32Array {
  const corners = new Int32Array(6 * (columns - 1) * (active.rows + standing.rows - 2));
  let at = 0;
  for (const { first, rows } of [active, standing]) {
    for (let row = 0; row < rows - 1; row++) {
      for (let column = 0; column < columns - 1; column++) {
        const v = first + row * columns + column;
        // Diagonals alternate, so that the cloth has no grain of its own.
        const even = (row + column) % 2 === 0;
        corners.set(
          even
            ? [v, v + 1, v + columns, v + 1, v + columns + 1, v + columns]
            : [v, v + 1, v + columns + 1, v, v + columns + 1, v + columns],
          at,
        );
        at += 6;
      }
    }
  }
  return corners;
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
