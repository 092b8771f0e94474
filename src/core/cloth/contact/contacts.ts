import type { ClothMesh } from '../mesh/mesh.ts';
import { nearestOnTriangle } from './nearest.ts';
import { NearPairs, squareApart } from './nearPairs.ts';

/** Share of what is pressed in that one pass puts right. */
const correction = 0.5;
/** Pressed in less than this two layers hardly touch, mm. */
const lightlyMm = 0.02;
/** A point may come so much nearer to other cloth in one step: it can never pass through. */
const shareOfRoom = 0.4;
/** What is as far off as this is far enough, mm. */
const farMm = 20;
/** Room of a point that touches nothing, mm. */
const freeMm = 2;

/**
 * Self-contact of the cloth as it is: points keep a layer's thickness from the triangles of other parts.
 * No point moves further in a step than a share of its room, so no cloth can pass through other cloth.
 */
export class Contacts {
  /** How many touch, after the last pass. */
  touching = 0;
  /** Deepest that two layers are pressed into each other, mm. */
  deepest = 0;
  /** 1 at every vertex that is pressed against other cloth, after the last pass. */
  readonly isPressed: Uint8Array;
  private readonly near: NearPairs;
  /** Distance of every point to the nearest cloth that it touches, before this step, mm. */
  private readonly room: Float64Array;
  /** How far every point had come in this step before the pass, mm. */
  private readonly moved: Float64Array;
  private readonly share = new Float64Array(3);
  private readonly shareBefore = new Float64Array(3);

  constructor(private readonly mesh: ClothMesh) {
    this.near = new NearPairs(mesh);
    this.room = new Float64Array(mesh.count);
    this.moved = new Float64Array(mesh.count);
    this.isPressed = new Uint8Array(mesh.count);
  }

  /** Keeps track of which parts are near each other; to be called before each pass. */
  follow(): void {
    this.near.follow();
  }

  /** One pass over all pairs that may touch: points too near a triangle are pushed off it, and it off them. */
  pass(): void {
    const { near, room, moved, mesh } = this;
    const { point, face, bound, ends, faces, pointWay, faceWay } = near;
    const { corners } = faces;
    const { position: p, half } = mesh;
    this.deepest = 0;
    this.touching = 0;
    room.fill(freeMm);
    this.isPressed.fill(0);
    near.advance();
    for (let v = 0; v < moved.length; v++) moved[v] = Math.sqrt(squareApart(p, mesh.before, 3 * v));
    for (let k = 0; k < near.count; k++) {
      const i = point[k];
      const f = face[k];
      const way = pointWay[i] + faceWay[f];
      if (bound[k] > way) continue;
      const v = ends[2 * i];
      const w = ends[2 * i + 1];
      const x = (p[3 * v] + p[3 * w]) / 2;
      const y = (p[3 * v + 1] + p[3 * w + 1]) / 2;
      const z = (p[3 * v + 2] + p[3 * w + 2]) / 2;
      const thicknessMm = half[v] + half[corners[6 * f]];
      const apart = faces.leastApart(f, x, y, z, farMm) - thicknessMm;
      if (apart > 0) {
        bound[k] = way + apart;
        continue;
      }
      bound[k] = way + Math.min(this.keepOff(v, w, 6 * f), this.keepOff(v, w, 6 * f + 3));
    }
  }

  /** Pushes a point off a triangle, where it is too near. Returns how far apart they were beyond their thickness, mm. */
  private keepOff(v: number, w: number, t: number): number {
    const { near, share, mesh } = this;
    const { position: p, half } = mesh;
    const a = near.faces.corners[t];
    const b = near.faces.corners[t + 1];
    const c = near.faces.corners[t + 2];
    const thicknessMm = half[v] + half[a];
    const x = (p[3 * v] + p[3 * w]) / 2;
    const y = (p[3 * v + 1] + p[3 * w + 1]) / 2;
    const z = (p[3 * v + 2] + p[3 * w + 2]) / 2;
    const d2 = nearestOnTriangle(p, x, y, z, 3 * a, 3 * b, 3 * c, share);
    const d = Math.sqrt(d2);
    const depth = thicknessMm - d;
    if (depth <= 0 || d2 < 1e-12) return -depth;
    const sa = share[0];
    const sb = share[1];
    const sc = share[2];
    this.touching++;
    if (depth > this.deepest) this.deepest = depth;
    if (depth > lightlyMm) this.press(v, w, a, b, c);
    if (d - this.movedAtMost(v, w, a, b, c) < freeMm) this.measureRoom(v, w, a, b, c);
    const own = v === w ? 1 : 0.5;
    const push = (correction * depth) / ((own + sa * sa + sb * sb + sc * sc) * d);
    const { pushed } = near;
    const way = push * d;
    pushed[v] += own * way;
    if (v !== w) pushed[w] += own * way;
    pushed[a] += sa * way;
    pushed[b] += sb * way;
    pushed[c] += sc * way;
    for (let axis = 0; axis < 3; axis++) {
      const ia = 3 * a + axis;
      const ib = 3 * b + axis;
      const ic = 3 * c + axis;
      const iv = 3 * v + axis;
      const iw = 3 * w + axis;
      const at = (p[iv] + p[iw]) / 2;
      const off = push * (at - sa * p[ia] - sb * p[ib] - sc * p[ic]);
      p[iv] += own * off;
      if (v !== w) p[iw] += own * off;
      p[ia] -= sa * off;
      p[ib] -= sb * off;
      p[ic] -= sc * off;
    }
    return -depth;
  }

  private press(v: number, w: number, a: number, b: number, c: number): void {
    const { isPressed } = this;
    isPressed[v] = 1;
    isPressed[w] = 1;
    isPressed[a] = 1;
    isPressed[b] = 1;
    isPressed[c] = 1;
  }

  /** A point and a triangle have together come no further in this step than so many mm. */
  private movedAtMost(v: number, w: number, a: number, b: number, c: number): number {
    const { moved } = this;
    const { pushed } = this.near;
    const ofPoint = (moved[v] + pushed[v] + moved[w] + pushed[w]) / 2;
    const ofA = moved[a] + pushed[a];
    const ofB = moved[b] + pushed[b];
    const ofC = moved[c] + pushed[c];
    return ofPoint + Math.max(ofA, ofB, ofC);
  }

  /** How far a point and a triangle were apart before this step is room for all of them. */
  private measureRoom(v: number, w: number, a: number, b: number, c: number): void {
    const { room } = this;
    const { before: q } = this.mesh;
    const x = (q[3 * v] + q[3 * w]) / 2;
    const y = (q[3 * v + 1] + q[3 * w + 1]) / 2;
    const z = (q[3 * v + 2] + q[3 * w + 2]) / 2;
    const free = Math.sqrt(nearestOnTriangle(q, x, y, z, 3 * a, 3 * b, 3 * c, this.shareBefore));
    if (free < room[v]) room[v] = free;
    if (free < room[w]) room[w] = free;
    if (free < room[a]) room[a] = free;
    if (free < room[b]) room[b] = free;
    if (free < room[c]) room[c] = free;
  }

  /** Takes back what a point moved in this step beyond its share of the room it had. */
  keepRoom(): void {
    const { room, mesh } = this;
    const { position: p, before: q, count } = mesh;
    for (let v = 0; v < count; v++) {
      const most = shareOfRoom * room[v];
      const i = 3 * v;
      const dx = p[i] - q[i];
      const dy = p[i + 1] - q[i + 1];
      const dz = p[i + 2] - q[i + 2];
      const square = dx * dx + dy * dy + dz * dz;
      if (square <= most * most) continue;
      const kept = most / Math.sqrt(square);
      p[i] = q[i] + kept * dx;
      p[i + 1] = q[i + 1] + kept * dy;
      p[i + 2] = q[i + 2] + kept * dz;
    }
  }
}
