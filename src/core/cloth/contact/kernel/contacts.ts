import { ensureMeasured, larger, leastApart } from './boxes';
import { at, before, clear, corners, count, doubled, ends, faces, half, newPlaces, position, squareApart } from './cloth';
import { nearestOnTriangle, shareA, shareB, shareC } from './nearest';
import { advance, bounds, faceWays, groupStarts, groups, leastOf, mostWayNear, pointOf, pointWays } from './pairs';

/** In how many rounds a pass pushes apart what is pressed in. */
const rounds: i32 = 6;
/** How much of what a round leaves is left by the next, about: what the rounds are sped up by (after Chebyshev). */
const leftByARound: f64 = 0.6;
/** Pressed in less than this two layers hardly touch. */
const lightlyMm: f64 = 0.02;
/** Room of a point that touches nothing. */
const freeMm: f64 = 2;
/** Adding and taking away again rounds to 2⁻³² mm: sums of such figures are exact, in whatever order they are made. */
const rounder: f64 = 1.5 * 1048576;

/** Of each contact, byte by byte: its point as two vertices and its triangle's corners, as places in the cloth's arrays. */
const verticesBytes: usize = 20;
/** And the distance it keeps, its way out, its corners' shares, what it moves for each millimetre, and how far it was pressed. */
const figuresBytes: usize = 72;
const normalAt: usize = 8;
const sharesAt: usize = 32;
const weightAt: usize = 56;
const pressedAt: usize = 64;

export let touching: i32 = 0;
/** Deepest that two layers are pressed into each other. */
export let deepest: f64 = 0;
/** 1 at every vertex that is pressed against other cloth. */
export let isPressed = new StaticArray<u8>(0);
/** Distance of every point to the nearest cloth that it touches, before this step. */
export let room = new StaticArray<f64>(0);

/** How far every point had come in this step before the pass. */
let moved = new StaticArray<f64>(0);
/** In how many contacts of this pass every point is, and where they push it. */
let contactsOf = new StaticArray<f64>(0);
let push = new StaticArray<f64>(0);
/** Where every point was a round before. */
let previous = new StaticArray<f64>(0);
let mostContacts: i32 = 1 << 12;
let found = new StaticArray<i32>(5 << 12);
let measures = new StaticArray<f64>(9 << 12);

export function layContacts(): void {
  isPressed = new StaticArray<u8>(count);
  room = new StaticArray<f64>(count);
  moved = new StaticArray<f64>(count);
  contactsOf = new StaticArray<f64>(count);
  push = newPlaces();
  previous = newPlaces();
}

/** One pass over all pairs that may touch. `grip` is what holds cloth on cloth, as a share of what presses it. */
export function passOver(grip: f64): void {
  deepest = 0;
  touching = 0;
  clear(isPressed);
  advance();
  for (let v = 0; v < count; v++) {
    room[v] = freeMm;
    moved[v] = sqrt(squareApart(position, before, 3 * v));
  }
  for (let face = 0; face < faces; face++) {
    const most = mostWayNear(face) + faceWays[face];
    for (let group = groups * face; group < groups * (face + 1); group++) if (<f64>leastOf[group] <= most) look(face, group);
  }
  keepOff();
  if (grip > 0) rub(grip);
}

/** Looks at a group of a face's pairs: which of them touch, and of those that do not, how far they are from it. */
function look(face: i32, group: i32): void {
  const faceWay = faceWays[face];
  const own = half[corners[6 * face]];
  const end = groupStarts[group + 1];
  const points = pointOf;
  const ways = pointWays;
  const all = bounds;
  let least = f32.MAX_VALUE;
  for (let k = groupStarts[group]; k < end; k++) {
    const point = points[k];
    const way = ways[point] + faceWay;
    let bound = all[k];
    if (<f64>bound <= way) {
      const v = ends[2 * point];
      const w = ends[2 * point + 1];
      const p = position;
      const x = (p[3 * v] + p[3 * w]) / 2;
      const y = (p[3 * v + 1] + p[3 * w + 1]) / 2;
      const z = (p[3 * v + 2] + p[3 * w + 2]) / 2;
      const thicknessMm = half[v] + own;
      ensureMeasured(face);
      let apart = leastApart(face, x, y, z) - thicknessMm;
      if (apart <= 0) apart = min(touch(v, w, x, y, z, 6 * face, thicknessMm), touch(v, w, x, y, z, 6 * face + 3, thicknessMm));
      bound = <f32>(way + apart);
      all[k] = bound;
    }
    if (bound < least) least = bound;
  }
  leastOf[group] = least;
}

/** Notes that a point is too near a triangle, if it is. Returns how far apart they are beyond their thickness. */
function touch(v: i32, w: i32, x: f64, y: f64, z: f64, t: i32, thicknessMm: f64): f64 {
  const a = corners[t];
  const b = corners[t + 1];
  const c = corners[t + 2];
  const p = position;
  const d2 = nearestOnTriangle(p, x, y, z, 3 * a, 3 * b, 3 * c);
  const d = sqrt(d2);
  const depth = thicknessMm - d;
  if (depth <= 0 || d2 < 1e-12) return -depth;
  const sa = shareA;
  const sb = shareB;
  const sc = shareC;
  if (depth > deepest) deepest = depth;
  if (depth > lightlyMm) {
    const pressed = isPressed;
    pressed[v] = 1;
    pressed[w] = 1;
    pressed[a] = 1;
    pressed[b] = 1;
    pressed[c] = 1;
  }
  // The two have together come no further in this step than this: were they further apart, it would be no narrower than free.
  const ways = moved;
  const together = (ways[v] + ways[w]) / 2 + larger(larger(ways[a], ways[b]), ways[c]);
  if (d - together < freeMm) measureRoom(v, w, a, b, c);
  if (touching === mostContacts) {
    mostContacts *= 2;
    found = doubled(found);
    measures = doubled(measures);
  }
  const places = at(found) + verticesBytes * <usize>touching;
  const figures = at(measures) + figuresBytes * <usize>touching;
  touching++;
  store<i32>(places, v);
  store<i32>(places, w, 4);
  store<i32>(places, a, 8);
  store<i32>(places, b, 12);
  store<i32>(places, c, 16);
  store<f64>(figures, thicknessMm);
  store<f64>(figures, (x - (sa * p[3 * a] + sb * p[3 * b] + sc * p[3 * c])) / d, normalAt);
  store<f64>(figures, (y - (sa * p[3 * a + 1] + sb * p[3 * b + 1] + sc * p[3 * c + 1])) / d, normalAt + 8);
  store<f64>(figures, (z - (sa * p[3 * a + 2] + sb * p[3 * b + 2] + sc * p[3 * c + 2])) / d, normalAt + 16);
  store<f64>(figures, sa, sharesAt);
  store<f64>(figures, sb, sharesAt + 8);
  store<f64>(figures, sc, sharesAt + 16);
  store<f64>(figures, 0, pressedAt);
  const many = contactsOf;
  many[v] += 1;
  if (w !== v) many[w] += 1;
  many[a] += 1;
  many[b] += 1;
  many[c] += 1;
  return -depth;
}

/** How far a point and a triangle were apart before this step is room for all of them. */
function measureRoom(v: i32, w: i32, a: i32, b: i32, c: i32): void {
  const q = before;
  const x = (q[3 * v] + q[3 * w]) / 2;
  const y = (q[3 * v + 1] + q[3 * w + 1]) / 2;
  const z = (q[3 * v + 2] + q[3 * w + 2]) / 2;
  const free = sqrt(nearestOnTriangle(q, x, y, z, 3 * a, 3 * b, 3 * c));
  if (free < room[v]) room[v] = free;
  if (free < room[w]) room[w] = free;
  if (free < room[a]) room[a] = free;
  if (free < room[b]) room[b] = free;
  if (free < room[c]) room[c] = free;
}

/** Pushes apart all that was found to touch, each point of a contact with the weight that it has left for it. */
function keepOff(): void {
  weigh();
  const end = at(position) + ((<usize>position.length) << 3);
  let ahead: f64 = 1;
  for (let round = 0; round < rounds; round++) {
    pushApart();
    ahead = round === 0 ? 1 : round === 1 ? 2 / (2 - leftByARound * leftByARound) : 4 / (4 - leftByARound * leftByARound * ahead);
    const on = f64x2.splat(ahead);
    let pushed = at(push);
    let last = at(previous);
    for (let place = at(position); place < end; place += 16, pushed += 16, last += 16) {
      const now = v128.load(place);
      const ahead = f64x2.add(now, v128.load(pushed));
      const was = v128.load(last);
      v128.store(place, round === 0 ? ahead : f64x2.add(f64x2.mul(on, f64x2.sub(ahead, was)), was));
      v128.store(last, now);
    }
  }
}

/** What each contact would push its points by, were it alone: the innermost loop of all. */
function pushApart(): void {
  clear(push);
  const p = at(position);
  const u = at(push);
  const end = at(measures) + figuresBytes * <usize>touching;
  let places = at(found);
  for (let figures = at(measures); figures < end; figures += figuresBytes, places += verticesBytes) {
    const v = placeOf(places, 0);
    const w = placeOf(places, 4);
    const a = placeOf(places, 8);
    const b = placeOf(places, 12);
    const c = placeOf(places, 16);
    const nxy = v128.load(figures, normalAt);
    const nz = load<f64>(figures, normalAt + 16);
    const sa = load<f64>(figures, sharesAt);
    const sb = load<f64>(figures, sharesAt + 8);
    const sc = load<f64>(figures, sharesAt + 16);
    const off = f64x2.mul(betweenXY(p, v, w, a, b, c, sa, sb, sc), nxy);
    const way =
      load<f64>(figures) - (f64x2.extract_lane(off, 0) + f64x2.extract_lane(off, 1) + betweenZ(p, v, w, a, b, c, sa, sb, sc) * nz);
    if (way <= 0) continue;
    const by = way * load<f64>(figures, weightAt);
    store<f64>(figures, load<f64>(figures, pressedAt) + by, pressedAt);
    shareOut(u, v, w, a, b, c, sa, sb, sc, f64x2.mul(f64x2.splat(by), nxy), by * nz);
  }
}

/**
 * Friction: what slides on other cloth is held back, all of it up to the share of its pressure that the cloth's grip allows
 * (Coulomb; as a step of positions after Müller and others, "Position Based Dynamics", 2007).
 */
function rub(grip: f64): void {
  clear(push);
  const p = at(position);
  const q = at(before);
  const u = at(push);
  const end = at(measures) + figuresBytes * <usize>touching;
  let places = at(found);
  for (let figures = at(measures); figures < end; figures += figuresBytes, places += verticesBytes) {
    const pressed = load<f64>(figures, pressedAt);
    if (pressed <= 0) continue;
    const v = placeOf(places, 0);
    const w = placeOf(places, 4);
    const a = placeOf(places, 8);
    const b = placeOf(places, 12);
    const c = placeOf(places, 16);
    const nxy = v128.load(figures, normalAt);
    const nz = load<f64>(figures, normalAt + 16);
    const sa = load<f64>(figures, sharesAt);
    const sb = load<f64>(figures, sharesAt + 8);
    const sc = load<f64>(figures, sharesAt + 16);
    let xy = f64x2.sub(betweenXY(p, v, w, a, b, c, sa, sb, sc), betweenXY(q, v, w, a, b, c, sa, sb, sc));
    let z = betweenZ(p, v, w, a, b, c, sa, sb, sc) - betweenZ(q, v, w, a, b, c, sa, sb, sc);
    const off = f64x2.mul(xy, nxy);
    const along = f64x2.extract_lane(off, 0) + f64x2.extract_lane(off, 1) + z * nz;
    xy = f64x2.sub(xy, f64x2.mul(f64x2.splat(along), nxy));
    z -= along * nz;
    const square = f64x2.mul(xy, xy);
    const slid = sqrt(f64x2.extract_lane(square, 0) + f64x2.extract_lane(square, 1) + z * z);
    if (slid < 1e-9) continue;
    const held = -min(load<f64>(figures, weightAt), (grip * pressed) / slid);
    shareOut(u, v, w, a, b, c, sa, sb, sc, f64x2.mul(f64x2.splat(held), xy), held * z);
  }
  for (let i = 0; i < position.length; i++) position[i] += push[i];
}

/** What each contact moves its points by for every millimetre pressed in: in as many contacts as a point is, so much lighter it is in each. */
function weigh(): void {
  for (let n = 0; n < touching; n++) {
    const places = at(found) + verticesBytes * <usize>n;
    const figures = at(measures) + figuresBytes * <usize>n;
    const v = load<i32>(places);
    const w = load<i32>(places, 4);
    const own = v === w ? contactsOf[v] : (contactsOf[v] + contactsOf[w]) / 4;
    const sa = load<f64>(figures, sharesAt);
    const sb = load<f64>(figures, sharesAt + 8);
    const sc = load<f64>(figures, sharesAt + 16);
    const around =
      sa * sa * contactsOf[load<i32>(places, 8)] +
      sb * sb * contactsOf[load<i32>(places, 12)] +
      sc * sc * contactsOf[load<i32>(places, 16)];
    store<f64>(figures, 1 / (own + around), weightAt);
  }
  clear(contactsOf);
}

/** Where in an array of x, y, z a contact's vertex stands, in bytes. */
function placeOf(places: usize, byte: usize): usize {
  return 24 * <usize>load<i32>(places + byte);
}

/** From a contact's triangle to its point, along x and y, and along z. */
function betweenXY(p: usize, v: usize, w: usize, a: usize, b: usize, c: usize, sa: f64, sb: f64, sc: f64): v128 {
  const point = f64x2.mul(f64x2.add(v128.load(p + v), v128.load(p + w)), f64x2.splat(0.5));
  const ofA = f64x2.mul(f64x2.splat(sa), v128.load(p + a));
  const ofB = f64x2.mul(f64x2.splat(sb), v128.load(p + b));
  const ofC = f64x2.mul(f64x2.splat(sc), v128.load(p + c));
  return f64x2.sub(point, f64x2.add(f64x2.add(ofA, ofB), ofC));
}

function betweenZ(p: usize, v: usize, w: usize, a: usize, b: usize, c: usize, sa: f64, sb: f64, sc: f64): f64 {
  const corner = sa * load<f64>(p + a, 16) + sb * load<f64>(p + b, 16) + sc * load<f64>(p + c, 16);
  return (load<f64>(p + v, 16) + load<f64>(p + w, 16)) / 2 - corner;
}

/** Pushes a contact's point one way and its triangle's corners the other, each by its share. */
function shareOut(u: usize, v: usize, w: usize, a: usize, b: usize, c: usize, sa: f64, sb: f64, sc: f64, xy: v128, z: f64): void {
  if (v === w) shove(u + v, xy, z);
  else {
    const halfXY = f64x2.mul(f64x2.splat(0.5), xy);
    const halfZ = 0.5 * z;
    shove(u + v, halfXY, halfZ);
    shove(u + w, halfXY, halfZ);
  }
  shove(u + a, f64x2.mul(f64x2.splat(-sa), xy), -sa * z);
  shove(u + b, f64x2.mul(f64x2.splat(-sb), xy), -sb * z);
  shove(u + c, f64x2.mul(f64x2.splat(-sc), xy), -sc * z);
}

function shove(place: usize, xy: v128, z: f64): void {
  const by = f64x2.splat(rounder);
  v128.store(place, f64x2.add(v128.load(place), f64x2.sub(f64x2.add(xy, by), by)));
  store<f64>(place, load<f64>(place, 16) + (z + rounder - rounder), 16);
}
