import { rounded } from '../mesh/exact.ts';
import type { ClothMesh } from '../mesh/mesh.ts';
import { nearestOnTriangle } from './nearest.ts';
import { grown, NearPairs, squareApart } from './nearPairs.ts';

/** In how many rounds a pass pushes apart what is pressed in. */
const rounds = 6;
/** How much of what a round leaves is left by the next, about: what the rounds are sped up by (after Chebyshev). */
const leftByARound = 0.6;
/** Pressed in less than this two layers hardly touch, mm. */
const lightlyMm = 0.02;
/** A point may come so much nearer to other cloth in one step: it can never pass through. */
const shareOfRoom = 0.4;
/** Room of a point that touches nothing, mm. */
const freeMm = 2;

/** Of each contact: its point as two vertices, and its triangle's corners. */
const vertices = 5;
/** And the distance it keeps, its way out, its corners' shares, what it moves for each millimetre, and how far it was pressed. */
const figures = 9;
const sharesAt = 4;
const weightAt = 7;
const pressedAt = 8;

/**
 * Self-contact of the cloth as it is: points keep a layer's thickness from the triangles of other parts.
 * No point moves further in a step than a share of its room, so no cloth can pass through other cloth. All contacts of
 * a pass are solved at once, a point's weight split between those that it is in (after Tonge, Benevolenski and
 * Voroshilov, "Mass Splitting for Jitter-Free Parallel Rigid Body Simulation", 2012): none comes first, and what is laid as
 * in a mirror comes out as in a mirror, to the bit.
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
  /** In how many contacts of this pass every point is, and where they push it, mm. */
  private readonly contactsOf: Float64Array;
  private readonly push: Float64Array;
  /** Where every point was a round before. */
  private readonly previous: Float64Array;
  private found = new Int32Array(vertices << 12);
  private measured = new Float64Array(figures << 12);
  private readonly shares = new Float64Array(3);
  private readonly shareBefore = new Float64Array(3);

  /** `grip` is what holds cloth on cloth, as a share of what presses it. */
  constructor(
    private readonly mesh: ClothMesh,
    private readonly grip: number,
  ) {
    this.near = new NearPairs(mesh);
    this.room = new Float64Array(mesh.count);
    this.moved = new Float64Array(mesh.count);
    this.contactsOf = new Float64Array(mesh.count);
    this.push = new Float64Array(3 * mesh.count);
    this.previous = new Float64Array(3 * mesh.count);
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
      const apart = faces.leastApart(f, x, y, z) - thicknessMm;
      if (apart > 0) {
        bound[k] = way + apart;
        continue;
      }
      bound[k] = way + Math.min(this.touch(v, w, 6 * f), this.touch(v, w, 6 * f + 3));
    }
    this.keepOff();
    if (this.grip > 0) this.rub();
  }

  /** Notes that a point is too near a triangle, if it is. Returns how far apart they are beyond their thickness, mm. */
  private touch(v: number, w: number, t: number): number {
    const { near, shares, mesh, contactsOf } = this;
    const { position: p, half } = mesh;
    const a = near.faces.corners[t];
    const b = near.faces.corners[t + 1];
    const c = near.faces.corners[t + 2];
    const thicknessMm = half[v] + half[a];
    const x = (p[3 * v] + p[3 * w]) / 2;
    const y = (p[3 * v + 1] + p[3 * w + 1]) / 2;
    const z = (p[3 * v + 2] + p[3 * w + 2]) / 2;
    const d2 = nearestOnTriangle(p, x, y, z, 3 * a, 3 * b, 3 * c, shares);
    const d = Math.sqrt(d2);
    const depth = thicknessMm - d;
    if (depth <= 0 || d2 < 1e-12) return -depth;
    const sa = shares[0];
    const sb = shares[1];
    const sc = shares[2];
    if (depth > this.deepest) this.deepest = depth;
    if (depth > lightlyMm) this.press(v, w, a, b, c);
    if (d - this.movedAtMost(v, w, a, b, c) < freeMm) this.measureRoom(v, w, a, b, c);
    const n = this.touching++;
    if (vertices * n === this.found.length) {
      this.found = grown(this.found, new Int32Array(2 * this.found.length));
      this.measured = grown(this.measured, new Float64Array(2 * this.measured.length));
    }
    const { found, measured } = this;
    found[vertices * n] = v;
    found[vertices * n + 1] = w;
    found[vertices * n + 2] = a;
    found[vertices * n + 3] = b;
    found[vertices * n + 4] = c;
    const of = figures * n;
    measured[of] = thicknessMm;
    measured[of + sharesAt] = sa;
    measured[of + sharesAt + 1] = sb;
    measured[of + sharesAt + 2] = sc;
    for (let axis = 0; axis < 3; axis++)
      measured[of + 1 + axis] = between(p, 3 * v + axis, 3 * w + axis, 3 * a + axis, 3 * b + axis, 3 * c + axis, sa, sb, sc) / d;
    measured[of + pressedAt] = 0;
    contactsOf[v] += 1;
    if (w !== v) contactsOf[w] += 1;
    contactsOf[a] += 1;
    contactsOf[b] += 1;
    contactsOf[c] += 1;
    return -depth;
  }

  /** Pushes apart all that was found to touch, each point of a contact with the weight that it has left for it. */
  private keepOff(): void {
    this.weigh();
    const { push, previous, mesh } = this;
    const { position: p } = mesh;
    let ahead = 1;
    for (let round = 0; round < rounds; round++) {
      this.pushApart();
      ahead = round === 0 ? 1 : round === 1 ? 2 / (2 - leftByARound ** 2) : 4 / (4 - leftByARound ** 2 * ahead);
      for (let i = 0; i < push.length; i++) {
        const last = p[i];
        p[i] = round === 0 ? last + push[i] : ahead * (last + push[i] - previous[i]) + previous[i];
        previous[i] = last;
      }
    }
  }

  /** What each contact would push its points by, were it alone: the innermost loop of all, so written out. */
  private pushApart(): void {
    const { found, measured, push, mesh } = this;
    const { position: p } = mesh;
    push.fill(0);
    for (let n = 0; n < this.touching; n++) {
      const from = vertices * n;
      const v = 3 * found[from];
      const w = 3 * found[from + 1];
      const a = 3 * found[from + 2];
      const b = 3 * found[from + 3];
      const c = 3 * found[from + 4];
      const of = figures * n;
      const nx = measured[of + 1];
      const ny = measured[of + 2];
      const nz = measured[of + 3];
      const sa = measured[of + sharesAt];
      const sb = measured[of + sharesAt + 1];
      const sc = measured[of + sharesAt + 2];
      const x = (p[v] + p[w]) / 2 - (sa * p[a] + sb * p[b] + sc * p[c]);
      const y = (p[v + 1] + p[w + 1]) / 2 - (sa * p[a + 1] + sb * p[b + 1] + sc * p[c + 1]);
      const z = (p[v + 2] + p[w + 2]) / 2 - (sa * p[a + 2] + sb * p[b + 2] + sc * p[c + 2]);
      const way = measured[of] - (x * nx + y * ny + z * nz);
      if (way <= 0) continue;
      const off = way * measured[of + weightAt];
      measured[of + pressedAt] += off;
      const ox = off * nx;
      const oy = off * ny;
      const oz = off * nz;
      if (v === w) {
        push[v] += rounded(ox);
        push[v + 1] += rounded(oy);
        push[v + 2] += rounded(oz);
      } else {
        push[v] += rounded(0.5 * ox);
        push[v + 1] += rounded(0.5 * oy);
        push[v + 2] += rounded(0.5 * oz);
        push[w] += rounded(0.5 * ox);
        push[w + 1] += rounded(0.5 * oy);
        push[w + 2] += rounded(0.5 * oz);
      }
      push[a] -= rounded(sa * ox);
      push[a + 1] -= rounded(sa * oy);
      push[a + 2] -= rounded(sa * oz);
      push[b] -= rounded(sb * ox);
      push[b + 1] -= rounded(sb * oy);
      push[b + 2] -= rounded(sb * oz);
      push[c] -= rounded(sc * ox);
      push[c + 1] -= rounded(sc * oy);
      push[c + 2] -= rounded(sc * oz);
    }
  }

  /**
   * Friction: what slides on other cloth is held back, all of it up to the share of its pressure that the cloth's grip allows
   * (Coulomb; as a step of positions after Müller and others, "Position Based Dynamics", 2007).
   */
  private rub(): void {
    const { found, measured, push, mesh, grip } = this;
    const { position: p, before: q } = mesh;
    push.fill(0);
    for (let n = 0; n < this.touching; n++) {
      const of = figures * n;
      const pressed = measured[of + pressedAt];
      if (pressed <= 0) continue;
      const from = vertices * n;
      const v = 3 * found[from];
      const w = 3 * found[from + 1];
      const a = 3 * found[from + 2];
      const b = 3 * found[from + 3];
      const c = 3 * found[from + 4];
      const nx = measured[of + 1];
      const ny = measured[of + 2];
      const nz = measured[of + 3];
      const sa = measured[of + sharesAt];
      const sb = measured[of + sharesAt + 1];
      const sc = measured[of + sharesAt + 2];
      let x = between(p, v, w, a, b, c, sa, sb, sc) - between(q, v, w, a, b, c, sa, sb, sc);
      let y = between(p, v + 1, w + 1, a + 1, b + 1, c + 1, sa, sb, sc) - between(q, v + 1, w + 1, a + 1, b + 1, c + 1, sa, sb, sc);
      let z = between(p, v + 2, w + 2, a + 2, b + 2, c + 2, sa, sb, sc) - between(q, v + 2, w + 2, a + 2, b + 2, c + 2, sa, sb, sc);
      const along = x * nx + y * ny + z * nz;
      x -= along * nx;
      y -= along * ny;
      z -= along * nz;
      const slid = Math.sqrt(x * x + y * y + z * z);
      if (slid < 1e-9) continue;
      const held = -Math.min(measured[of + weightAt], (grip * pressed) / slid);
      shareOut(push, v, w, a, b, c, sa, sb, sc, held * x, held * y, held * z);
    }
    for (let i = 0; i < push.length; i++) p[i] += push[i];
  }

  /** What each contact moves its points by for every millimetre pressed in. */
  private weigh(): void {
    const { found, measured, contactsOf } = this;
    // As many contacts as a point is in, so much lighter it is in each.
    for (let n = 0; n < this.touching; n++) {
      const at = vertices * n;
      const v = contactsOf[found[at]];
      const own = found[at] === found[at + 1] ? v : (v + contactsOf[found[at + 1]]) / 4;
      const of = figures * n + sharesAt;
      const sa = measured[of];
      const sb = measured[of + 1];
      const sc = measured[of + 2];
      const around = sa * sa * contactsOf[found[at + 2]] + sb * sb * contactsOf[found[at + 3]] + sc * sc * contactsOf[found[at + 4]];
      measured[figures * n + weightAt] = 1 / (own + around);
    }
    contactsOf.fill(0);
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
    return (moved[v] + moved[w]) / 2 + Math.max(moved[a], moved[b], moved[c]);
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

/** From a contact's triangle to its point, along an axis, mm; all of them are places in `p`. */
function between(p: Float64Array, v: number, w: number, a: number, b: number, c: number, sa: number, sb: number, sc: number): number {
  return (p[v] + p[w]) / 2 - (sa * p[a] + sb * p[b] + sc * p[c]);
}

/** Pushes a contact's point one way and its triangle's corners the other, each by its share; all of them are places in `push`. */
function shareOut(
  push: Float64Array,
  v: number,
  w: number,
  a: number,
  b: number,
  c: number,
  sa: number,
  sb: number,
  sc: number,
  x: number,
  y: number,
  z: number,
): void {
  if (v === w) shove(push, v, 1, x, y, z);
  else {
    shove(push, v, 0.5, x, y, z);
    shove(push, w, 0.5, x, y, z);
  }
  shove(push, a, -sa, x, y, z);
  shove(push, b, -sb, x, y, z);
  shove(push, c, -sc, x, y, z);
}

function shove(push: Float64Array, i: number, by: number, x: number, y: number, z: number): void {
  push[i] += rounded(by * x);
  push[i + 1] += rounded(by * y);
  push[i + 2] += rounded(by * z);
}
