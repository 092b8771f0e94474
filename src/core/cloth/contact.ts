import type { ClothMesh, Strand } from './mesh.ts';

export interface ContactRule {
  /** Least distance of two layers along their common normal, mm. */
  readonly thicknessMm: number;
  /** How far aside a point still holds another off, mm. */
  readonly discMm: number;
  /** How far points keep off each other where their cloth stands across one another, mm. */
  readonly ballMm: number;
}

/** Found anew so often, so pairs are looked for a little beyond their reach. */
const marginMm = 3;
/** Points of one strand nearer along the cloth than this are neighbours, not layers, mm. */
const alongMm = 12;
/** Past this share of the thickness the pair has gone through, and is given up. */
const givenUp = 0.8;
const correction = 0.9;
const mostMm = 2;
/** Where two normals cross more steeply than this, points keep off each other as balls. */
const steep = 0.35;
const forgotten = 1.7;
const easyMm = 0.18;
const pressedMm = 0.35;
const neverNearer = 0.02;
/** Within this share of the thickness of one plane it is left open which point is above. */
const undecided = 0.25;

/**
 * Self-contact of the cloth: every point is a disc with a normal, and each pair remembers which
 * side of each other it is on, so that a layer pushed half through another is pushed back, not out.
 */
export class Contacts {
  pairs = 0;
  /** Deepest penetration of the last pass, mm. */
  deepest = 0;
  /** How many pairs are pressed in by more than a little, and by too much. */
  touching = 0;
  pressed = 0;
  private a = new Int32Array(1 << 15);
  private b = new Int32Array(1 << 15);
  private side = new Int8Array(1 << 15);
  private oldKey = new Float64Array(1 << 17).fill(-1);
  private oldSide = new Int8Array(1 << 17);
  private readonly along: Float64Array;
  private readonly strandOf: Uint8Array;
  private readonly cell: Int32Array;
  private readonly start = new Int32Array(buckets + 1);
  private readonly next = new Int32Array(buckets + 1);
  private readonly order: Int32Array;
  private readonly place: Int32Array;
  private readonly foundAt: Float64Array;

  constructor(private readonly mesh: ClothMesh) {
    this.along = new Float64Array(mesh.count);
    this.strandOf = new Uint8Array(mesh.count);
    this.cell = new Int32Array(mesh.count);
    this.order = new Int32Array(mesh.count);
    this.place = new Int32Array(3 * mesh.count);
    this.foundAt = new Float64Array(3 * mesh.count).fill(Number.POSITIVE_INFINITY);
    this.strandOf.fill(1, mesh.standing.first);
  }

  /** Looks for the pairs anew when points have moved as far as the margin since. */
  follow(rule: ContactRule): void {
    const { position: p } = this.mesh;
    const { foundAt } = this;
    const most = (marginMm / 2) ** 2;
    for (let i = 0; i < p.length; i += 3) {
      const dx = (p[i] as number) - (foundAt[i] as number);
      const dy = (p[i + 1] as number) - (foundAt[i + 1] as number);
      const dz = (p[i + 2] as number) - (foundAt[i + 2] as number);
      if (dx * dx + dy * dy + dz * dz <= most) continue;
      this.find(rule);
      foundAt.set(p);
      return;
    }
  }

  /** Looks for the pairs that may come to touch; those known keep their side. */
  private find({ thicknessMm, discMm }: ContactRule): void {
    const { mesh, along, cell, start, next, order, place, strandOf } = this;
    const { position, count } = mesh;
    this.rememberSides();
    measureAlong(mesh, mesh.active, along);
    measureAlong(mesh, mesh.standing, along);
    const reach = Math.sqrt(thicknessMm * thicknessMm + discMm * discMm) + marginMm;
    start.fill(0);
    for (let i = 0; i < count; i++) {
      const x = Math.floor((position[3 * i] as number) / reach);
      const y = Math.floor((position[3 * i + 1] as number) / reach);
      const z = Math.floor((position[3 * i + 2] as number) / reach);
      place[3 * i] = x;
      place[3 * i + 1] = y;
      place[3 * i + 2] = z;
      const bucket = bucketOf(x, y, z);
      cell[i] = bucket;
      start[bucket + 1] = (start[bucket + 1] as number) + 1;
    }
    for (let k = 0; k < buckets; k++) start[k + 1] = (start[k + 1] as number) + (start[k] as number);
    next.set(start);
    for (let i = 0; i < count; i++) {
      const bucket = cell[i] as number;
      const slot = next[bucket] as number;
      order[slot] = i;
      next[bucket] = slot + 1;
    }
    this.pairs = 0;
    for (let i = 0; i < count; i++) {
      const x = place[3 * i] as number;
      const y = place[3 * i + 1] as number;
      const z = place[3 * i + 2] as number;
      for (let gx = x - 1; gx <= x + 1; gx++) {
        for (let gy = y - 1; gy <= y + 1; gy++) {
          for (let gz = z - 1; gz <= z + 1; gz++) {
            const bucket = bucketOf(gx, gy, gz);
            const end = start[bucket + 1] as number;
            for (let k = start[bucket] as number; k < end; k++) {
              const j = order[k] as number;
              if (j <= i) continue;
              // Two cells may share a bucket: a pair is taken in its own cell only.
              if (place[3 * j] !== gx || place[3 * j + 1] !== gy || place[3 * j + 2] !== gz) continue;
              const dx = (position[3 * j] as number) - (position[3 * i] as number);
              const dy = (position[3 * j + 1] as number) - (position[3 * i + 1] as number);
              const dz = (position[3 * j + 2] as number) - (position[3 * i + 2] as number);
              if (dx * dx + dy * dy + dz * dz > reach * reach) continue;
              if (strandOf[i] === strandOf[j] && Math.abs((along[i] as number) - (along[j] as number)) < alongMm) continue;
              this.push(i, j);
            }
          }
        }
      }
    }
  }

  /** One pass over all pairs: those too near are pushed apart along their common normal. */
  pass({ thicknessMm, discMm, ballMm }: ContactRule): void {
    const { a, b, side, mesh } = this;
    const { position: p, normal: n } = mesh;
    let deepest = 0;
    let touching = 0;
    let pressed = 0;
    for (let k = 0; k < this.pairs; k++) {
      const i = 3 * (a[k] as number);
      const j = 3 * (b[k] as number);
      const dx = (p[j] as number) - (p[i] as number);
      const dy = (p[j + 1] as number) - (p[i + 1] as number);
      const dz = (p[j + 2] as number) - (p[i + 2] as number);
      const square = dx * dx + dy * dy + dz * dz;
      if (square > forgotten * (discMm * discMm + thicknessMm * thicknessMm)) continue;
      const [ax, ay, az] = [n[i] as number, n[i + 1] as number, n[i + 2] as number];
      const [bx, by, bz] = [n[j] as number, n[j + 1] as number, n[j + 2] as number];
      const together = ax * bx + ay * by + az * bz;
      let nx: number;
      let ny: number;
      let nz: number;
      let gap: number;
      let hand = 1;
      if (together < steep && together > -steep) {
        const length = Math.sqrt(square);
        if (length < neverNearer) continue;
        nx = dx / length;
        ny = dy / length;
        nz = dz / length;
        gap = length - (ballMm - thicknessMm);
      } else {
        const turn = together > 0 ? 1 : -1;
        nx = ax + turn * bx;
        ny = ay + turn * by;
        nz = az + turn * bz;
        const length = Math.sqrt(nx * nx + ny * ny + nz * nz);
        nx /= length;
        ny /= length;
        nz /= length;
        const apart = dx * nx + dy * ny + dz * nz;
        const aside = square - apart * apart;
        if (aside > discMm * discMm) {
          // Well aside of each other there is no above and below to remember.
          if (aside > forgotten * discMm * discMm) side[k] = 0;
          continue;
        }
        hand = side[k] as number;
        if (hand === 0) {
          // Side by side, neither is above: they keep apart as edges do until one has come to lie over the other.
          if (apart < undecided * thicknessMm && apart > -undecided * thicknessMm) continue;
          hand = apart >= 0 ? 1 : -1;
          side[k] = hand;
        }
        gap = hand * apart;
      }
      const depth = thicknessMm - gap;
      if (depth <= 0) continue;
      if (gap < -givenUp * thicknessMm) {
        side[k] = 0;
        continue;
      }
      if (depth > deepest) deepest = depth;
      if (depth > easyMm) touching++;
      if (depth > pressedMm) pressed++;
      const push = (hand * Math.min(correction * depth, mostMm)) / 2;
      p[i] = (p[i] as number) - push * nx;
      p[i + 1] = (p[i + 1] as number) - push * ny;
      p[i + 2] = (p[i + 2] as number) - push * nz;
      p[j] = (p[j] as number) + push * nx;
      p[j + 1] = (p[j + 1] as number) + push * ny;
      p[j + 2] = (p[j + 2] as number) + push * nz;
    }
    this.deepest = deepest;
    this.touching = touching;
    this.pressed = pressed;
  }

  private push(i: number, j: number): void {
    if (this.pairs === this.a.length) this.grow();
    const k = this.pairs++;
    this.a[k] = i;
    this.b[k] = j;
    this.side[k] = this.sideOf(i * this.mesh.count + j);
  }

  private grow(): void {
    const [a, b, side] = [this.a, this.b, this.side];
    this.a = new Int32Array(2 * a.length);
    this.b = new Int32Array(2 * a.length);
    this.side = new Int8Array(2 * a.length);
    this.a.set(a);
    this.b.set(b);
    this.side.set(side);
  }

  private rememberSides(): void {
    if (this.oldKey.length < 4 * this.pairs) {
      this.oldKey = new Float64Array(2 * this.oldKey.length);
      this.oldSide = new Int8Array(2 * this.oldSide.length);
    }
    const { oldKey, oldSide, a, b, side, mesh } = this;
    oldKey.fill(-1);
    const mask = oldKey.length - 1;
    for (let k = 0; k < this.pairs; k++) {
      if (side[k] === 0) continue;
      const key = (a[k] as number) * mesh.count + (b[k] as number);
      let slot = (key * 40503) & mask;
      while (oldKey[slot] !== -1) slot = (slot + 1) & mask;
      oldKey[slot] = key;
      oldSide[slot] = side[k] as number;
    }
  }

  private sideOf(key: number): number {
    const { oldKey, oldSide } = this;
    const mask = oldKey.length - 1;
    let slot = (key * 40503) & mask;
    while (oldKey[slot] !== -1) {
      if (oldKey[slot] === key) return oldSide[slot] as number;
      slot = (slot + 1) & mask;
    }
    return 0;
  }
}

const buckets = 1 << 13;

function bucketOf(x: number, y: number, z: number): number {
  return ((x * 73856093) ^ (y * 19349663) ^ (z * 83492791)) & (buckets - 1);
}

/** How far along its strand each vertex lies, mm. */
function measureAlong({ columns }: ClothMesh, { first, rows, rest }: Strand, along: Float64Array): void {
  let at = 0;
  for (let row = 0; row < rows; row++) {
    along.fill(at, first + row * columns, first + (row + 1) * columns);
    at += rest[row] ?? 0;
  }
}
