import { axesAt, boxes, ensureMeasured, figures, larger, layBoxes, lengthsAt, outdate } from './boxes';
import {
  alongActive,
  alongStanding,
  cellX,
  cellY,
  fillCells,
  firstSlot,
  halves,
  layCells,
  pointAt,
  shortActive,
  shortHalves,
  shortStanding,
  shortXs,
  shortYs,
  shortZs,
  xs,
  ys,
  zs,
} from './cells';
import {
  activeRest,
  at,
  clear,
  columns,
  copy,
  count,
  doubled,
  ends,
  faces,
  firstOf,
  half,
  newPlaces,
  points,
  position,
  squareApart,
  standingFirst,
  standingRest,
} from './cloth';

/** Points of one strand nearer to a face along the cloth than so many times its thickness are neighbours, not layers. */
const neighbourLayers: f64 = 1.75;
/** Pairs are sought so far beyond their reach: further while the cloth moves fast. */
const leastMarginMm: f64 = 0.8;
const mostMarginMm: f64 = 4;
const stepsBetween: f64 = 14;
/** Pairs nearer than this share of the margin may touch soon. */
const soonShare: f64 = 0.3;
/** What is reckoned in short is off by less than so much of the largest figure in it. */
const shortIsOff: f64 = 1e-6;

/**
 * Which points may come to touch which face of another part, and how soon: a pair whose bound, the least way that the two must make
 * together before they touch, lies beyond the ways that they have made since cannot touch and need not be looked at. A face's
 * pairs stand together, in two groups: those that may touch soon, and all others.
 */
export let pointOf = new StaticArray<i32>(1 << 15);
export let bounds = new StaticArray<f32>(1 << 15);
export const groups: i32 = 2;
/** Where each group begins, and where the last ends; and the least bound in each. */
export let groupStarts = new StaticArray<i32>(0);
export let leastOf = new StaticArray<f32>(0);

/** Ways made since the pairs were found: of each point, and at most of any corner of each face. */
export let pointWays = new StaticArray<f64>(0);
export let faceWays = new StaticArray<f64>(0);
/** The cloth is divided into so many stretches of rows: the farthest way of any point of one, and in which of them each face has pairs, bit by bit. */
const stretches: i32 = 32;
const stretchWays = new StaticArray<f64>(stretches);
let stretchOf = new StaticArray<i32>(0);
let stretchesNear = new StaticArray<u32>(0);

let along = new StaticArray<f64>(0);
let foundAt = new StaticArray<f64>(0);
let lastAt = new StaticArray<f64>(0);
let stepWays = new StaticArray<f64>(0);
let isFound = false;
let marginMm: f64 = mostMarginMm;
let sinceFound: i32 = 0;

/** The slots of the points that a first look left near one face; then those of its pairs that may not touch soon. */
let seen = new StaticArray<i32>(0);
let latePoints = new StaticArray<i32>(0);
let lateBounds = new StaticArray<f32>(0);

export function layPairs(): void {
  layBoxes();
  layCells();
  groupStarts = new StaticArray<i32>(groups * faces + 1);
  leastOf = new StaticArray<f32>(groups * faces);
  pointWays = new StaticArray<f64>(points);
  faceWays = new StaticArray<f64>(faces);
  stretchOf = new StaticArray<i32>(points);
  stretchesNear = new StaticArray<u32>(faces);
  const rows = count / columns;
  for (let i = 0; i < points; i++) stretchOf[i] = ((ends[2 * i] / columns) * stretches) / rows;
  along = new StaticArray<f64>(count);
  foundAt = newPlaces();
  lastAt = newPlaces();
  stepWays = new StaticArray<f64>(count);
  // One is written beyond the last.
  seen = new StaticArray<i32>(points + 1);
  latePoints = new StaticArray<i32>(points);
  lateBounds = new StaticArray<f32>(points);
}

/** Looks for the pairs anew when points have moved so far that others could have come to touch. */
export function followPairs(): void {
  sinceFound++;
  if (isFound) {
    let square: f64 = 0;
    for (let i = 0; i < 3 * count; i += 3) square = larger(square, squareApart(position, foundAt, i));
    const most = sqrt(square);
    if (2 * most < marginMm) return;
    marginMm = min(mostMarginMm, max(leastMarginMm, (2 * stepsBetween * most) / <f64>sinceFound));
  }
  find();
  isFound = true;
  copy(position, foundAt);
  copy(position, lastAt);
  clear(pointWays);
  clear(faceWays);
  sinceFound = 0;
}

/** Adds what every vertex and face has moved since this was last asked. */
export function advance(): void {
  const ways = stepWays;
  const p = position;
  const q = lastAt;
  for (let v = 0; v < count; v++) ways[v] = sqrt(squareApart(p, q, 3 * v));
  clear(stretchWays);
  const endsOf = ends;
  const all = pointWays;
  const stretch = stretchOf;
  for (let i = 0; i < points; i++) {
    const way = all[i] + (ways[endsOf[2 * i]] + ways[endsOf[2 * i + 1]]) / 2;
    all[i] = way;
    if (way > stretchWays[stretch[i]]) stretchWays[stretch[i]] = way;
  }
  const first = firstOf;
  const sums = faceWays;
  for (let face = 0; face < faces; face++) {
    const a = first[face];
    const near = larger(ways[a], ways[a + 1]);
    const far = larger(ways[a + columns], ways[a + columns + 1]);
    sums[face] += larger(near, far);
  }
  copy(position, lastAt);
  outdate();
}

/** The farthest that any of a face's points has gone since the pairs were found. */
export function mostWayNear(face: i32): f64 {
  let most: f64 = 0;
  for (let near = stretchesNear[face]; near !== 0; near &= near - 1) most = larger(most, stretchWays[ctz(near)]);
  return most;
}

/** Looks for all points that may come to touch a face of another part before the margin is used up. */
function find(): void {
  let thickest: f64 = 0;
  for (let v = 0; v < count; v++) thickest = larger(thickest, half[v]);
  measureAlong(0, activeRest);
  measureAlong(standingFirst, standingRest);
  fillCells(along);
  const offMm = shortIsOff * largestFigure();
  outdate();
  let pairs = 0;
  for (let face = 0; face < faces; face++) {
    ensureMeasured(face);
    const looked = lookAround(face, thickest, offMm);
    while (pairs + looked > pointOf.length) {
      pointOf = doubled(pointOf);
      bounds = doubled(bounds);
    }
    pairs = sortOut(face, looked, pairs);
  }
  groupStarts[groups * faces] = pairs;
}

/** No figure that points are looked at by is larger, mm. */
function largestFigure(): f64 {
  let largest = larger(along[standingFirst - 1], along[count - 1]);
  for (let i = 0; i < 3 * count; i++) largest = larger(largest, abs(position[i]));
  return largest;
}

/**
 * A first look at the points around a face, four at once and in short, so `offMm` more is let pass: notes the slots of those in its
 * box and the margin about it that are no neighbours of its own, and returns how many. None is thicker than `thickest`, half of it.
 */
function lookAround(face: i32, thickest: f64, offMm: f64): i32 {
  const box = figures * face;
  const a = firstOf[face];
  const own = half[a];
  const out = own + marginMm + offMm;
  const r = box + axesAt;
  const rx = short(boxes[r]);
  const ry = short(boxes[r + 1]);
  const rz = short(boxes[r + 2]);
  const rMiddle = short(middleAlong(box, r));
  const rReach = short(boxes[box + lengthsAt] + out);
  const t = r + 3;
  const tx = short(boxes[t]);
  const ty = short(boxes[t + 1]);
  const tz = short(boxes[t + 2]);
  const tMiddle = short(middleAlong(box, t));
  const tReach = short(boxes[box + lengthsAt + 1] + out);
  const n = t + 3;
  const nx = short(boxes[n]);
  const ny = short(boxes[n + 1]);
  const nz = short(boxes[n + 2]);
  const nMiddle = short(middleAlong(box, n));
  const nReach = short(boxes[box + lengthsAt + 2] + out);
  const alongs = at(a < standingFirst ? shortActive : shortStanding);
  const here = short(along[a] + offMm);
  const there = short(along[a + columns] - offMm);
  const beside = short(neighbourLayers * own - offMm);
  const besideByHalf = short(neighbourLayers);
  const reach = own + thickest + marginMm;
  const reachX = reach + extent(box, 0);
  const reachY = reach + extent(box, 1);
  const toX = cellX(boxes[box] + reachX);
  const fromY = cellY(boxes[box + 1] - reachY);
  const toY = cellY(boxes[box + 1] + reachY);
  let into = at(seen);
  for (let cx = cellX(boxes[box] - reachX); cx <= toX; cx++) {
    const end = firstSlot(cx, toY + 1);
    for (let slot = firstSlot(cx, fromY); slot < end; slot += 4) {
      const bytes = (<usize>slot) << 2;
      const x = v128.load(at(shortXs) + bytes);
      const y = v128.load(at(shortYs) + bytes);
      const z = v128.load(at(shortZs) + bytes);
      const h = v128.load(at(shortHalves) + bytes);
      const above = f32x4.abs(f32x4.sub(dot(x, y, z, nx, ny, nz), nMiddle));
      let isIn = f32x4.le(above, f32x4.add(nReach, h));
      if (!v128.any_true(isIn)) continue;
      const alongRow = f32x4.abs(f32x4.sub(dot(x, y, z, rx, ry, rz), rMiddle));
      isIn = v128.and(isIn, f32x4.le(alongRow, f32x4.add(rReach, h)));
      const across = f32x4.abs(f32x4.sub(dot(x, y, z, tx, ty, tz), tMiddle));
      isIn = v128.and(isIn, f32x4.le(across, f32x4.add(tReach, h)));
      const mm = v128.load(alongs + bytes);
      const off = f32x4.pmax(f32x4.sub(here, mm), f32x4.sub(mm, there));
      isIn = v128.and(isIn, f32x4.ge(off, f32x4.add(beside, f32x4.mul(besideByHalf, h))));
      const left = end - slot;
      const bits = i32x4.bitmask(isIn) & (left < 4 ? (1 << left) - 1 : 15);
      // Each is written, and written over where it isn't in: quicker than to ask.
      store<i32>(into, slot);
      into += (bits & 1) << 2;
      store<i32>(into, slot + 1);
      into += (bits & 2) << 1;
      store<i32>(into, slot + 2);
      into += bits & 4;
      store<i32>(into, slot + 3);
      into += (bits & 8) >> 1;
    }
  }
  return <i32>((into - at(seen)) >> 2);
}

/** Makes a face's pairs, from the given one on, of those of the points looked at that may come to touch it. Returns where they end. */
function sortOut(face: i32, looked: i32, from: i32): i32 {
  const a = firstOf[face];
  const alongs = at(a < standingFirst ? alongActive : alongStanding);
  const box = at(boxes) + ((<usize>figures * face) << 3);
  const own = f64x2.splat(half[a]);
  const here = f64x2.splat(along[a]);
  const there = f64x2.splat(along[a + columns]);
  const margin = f64x2.splat(marginMm);
  const soonMm = soonShare * marginMm;
  const slots = seen;
  let leastSoon = f32.MAX_VALUE;
  let leastLate = f32.MAX_VALUE;
  let end = from;
  let late = 0;
  let near: u32 = 0;
  // The last of an odd number is looked at beside itself.
  if (looked & 1) slots[looked] = slots[looked - 1];
  for (let k = 0; k < looked; k += 2) {
    const one = (<usize>slots[k]) << 3;
    const other = (<usize>slots[k + 1]) << 3;
    const thickness = f64x2.add(own, both(at(halves), one, other));
    const mm = both(alongs, one, other);
    const off = f64x2.pmax(f64x2.sub(here, mm), f64x2.sub(mm, there));
    const isLayer = f64x2.ge(off, f64x2.mul(f64x2.splat(neighbourLayers), thickness));
    const x = f64x2.sub(both(at(xs), one, other), v128.load64_splat(box));
    const y = f64x2.sub(both(at(ys), one, other), v128.load64_splat(box, 8));
    const z = f64x2.sub(both(at(zs), one, other), v128.load64_splat(box, 16));
    const apart = f64x2.sub(fromBox(box, x, y, z), thickness);
    const isPair = i64x2.bitmask(v128.and(isLayer, f64x2.le(apart, margin)));
    for (let lane = 0; lane < 2; lane++) {
      if ((isPair & (1 << lane)) === 0 || k + lane === looked) continue;
      const point = pointAt[slots[k + lane]];
      const bound = <f32>(lane === 0 ? f64x2.extract_lane(apart, 0) : f64x2.extract_lane(apart, 1));
      near |= 1 << stretchOf[point];
      if (<f64>bound <= soonMm) {
        pointOf[end] = point;
        bounds[end++] = bound;
        if (bound < leastSoon) leastSoon = bound;
      } else {
        latePoints[late] = point;
        lateBounds[late++] = bound;
        if (bound < leastLate) leastLate = bound;
      }
    }
  }
  groupStarts[groups * face] = from;
  groupStarts[groups * face + 1] = end;
  leastOf[groups * face] = leastSoon;
  leastOf[groups * face + 1] = leastLate;
  stretchesNear[face] = near;
  memory.copy(at(pointOf) + ((<usize>end) << 2), at(latePoints), (<usize>late) << 2);
  memory.copy(at(bounds) + ((<usize>end) << 2), at(lateBounds), (<usize>late) << 2);
  return end + late;
}

/** What stands at two places of an array of f64. */
function both(array: usize, one: usize, other: usize): v128 {
  return v128.load64_lane(array + other, v128.load64_zero(array + one), 1);
}

/** How far two places, given from a box's middle, are from it: as `leastApart` tells of one. */
function fromBox(box: usize, x: v128, y: v128, z: v128): v128 {
  const r = beyond(box, 3, 12, x, y, z);
  const t = beyond(box, 6, 13, x, y, z);
  const n = beyond(box, 9, 14, x, y, z);
  return f64x2.sqrt(f64x2.add(f64x2.add(f64x2.mul(r, r), f64x2.mul(t, t)), f64x2.mul(n, n)));
}

/** How far beyond a box they are along one of its axes. */
function beyond(box: usize, axis: usize, length: usize, x: v128, y: v128, z: v128): v128 {
  const from = box + (axis << 3);
  const inXY = f64x2.add(f64x2.mul(x, v128.load64_splat(from)), f64x2.mul(y, v128.load64_splat(from, 8)));
  const off = f64x2.abs(f64x2.add(inXY, f64x2.mul(z, v128.load64_splat(from, 16))));
  return f64x2.pmax(f64x2.splat(0), f64x2.sub(off, v128.load64_splat(box + (length << 3))));
}

/** How far a face's box reaches from its middle along an axis of space. */
function extent(box: i32, axis: i32): f64 {
  const all = boxes;
  return (
    abs(all[box + axesAt + axis]) * all[box + lengthsAt] +
    abs(all[box + axesAt + 3 + axis]) * all[box + lengthsAt + 1] +
    abs(all[box + axesAt + 6 + axis]) * all[box + lengthsAt + 2]
  );
}

/** Where a box's middle lies along one of its axes. */
function middleAlong(box: i32, axis: i32): f64 {
  return boxes[axis] * boxes[box] + boxes[axis + 1] * boxes[box + 1] + boxes[axis + 2] * boxes[box + 2];
}

function short(figure: f64): v128 {
  return f32x4.splat(<f32>figure);
}

function dot(x: v128, y: v128, z: v128, ax: v128, ay: v128, az: v128): v128 {
  return f32x4.add(f32x4.add(f32x4.mul(x, ax), f32x4.mul(y, ay)), f32x4.mul(z, az));
}

/** How far along its strand each vertex lies. */
function measureAlong(first: i32, rest: StaticArray<f64>): void {
  let mm: f64 = 0;
  for (let row = 0; row <= rest.length; row++) {
    for (let column = 0; column < columns; column++) along[first + row * columns + column] = mm;
    if (row < rest.length) mm += rest[row];
  }
}
