import { at, count, ends, half, points, position, standingFirst } from './cloth';

/** Points stand in cells this wide, whichever lie behind each other in one; in wider ones where they are strewn too far for so many. */
const usualCellMm: f64 = 6;
const mostCells: i32 = 1 << 15;
/** A vector that is read from the last slot reads past it. */
const beyond: i32 = 4;
/** Along no strand so far. */
const onOtherStrand: f64 = 1e30;

/** Points in the order of their cells: which it is, where it is, half its thickness, and how far along the working and the standing strand it lies. */
export let pointAt = new StaticArray<i32>(0);
export let xs = new StaticArray<f64>(0);
export let ys = new StaticArray<f64>(0);
export let zs = new StaticArray<f64>(0);
export let halves = new StaticArray<f64>(0);
export let alongActive = new StaticArray<f64>(0);
export let alongStanding = new StaticArray<f64>(0);
/** The same, in short, for a first look at four at once. */
export let shortXs = new StaticArray<f32>(0);
export let shortYs = new StaticArray<f32>(0);
export let shortZs = new StaticArray<f32>(0);
export let shortHalves = new StaticArray<f32>(0);
export let shortActive = new StaticArray<f32>(0);
export let shortStanding = new StaticArray<f32>(0);

let cellMm: f64 = usualCellMm;
let cellsX: i32 = 0;
let cellsY: i32 = 0;
let lowX: f64 = 0;
let lowY: f64 = 0;
/** Where each cell begins; its end is where the next begins. */
const starts = new StaticArray<i32>(mostCells + 1);
const next = new StaticArray<i32>(mostCells);
let cellOf = new StaticArray<i32>(0);

export function layCells(): void {
  const slots = points + beyond;
  pointAt = new StaticArray<i32>(slots);
  cellOf = new StaticArray<i32>(slots);
  xs = new StaticArray<f64>(slots);
  ys = new StaticArray<f64>(slots);
  zs = new StaticArray<f64>(slots);
  halves = new StaticArray<f64>(slots);
  alongActive = new StaticArray<f64>(slots);
  alongStanding = new StaticArray<f64>(slots);
  shortXs = new StaticArray<f32>(slots);
  shortYs = new StaticArray<f32>(slots);
  shortZs = new StaticArray<f32>(slots);
  shortHalves = new StaticArray<f32>(slots);
  shortActive = new StaticArray<f32>(slots);
  shortStanding = new StaticArray<f32>(slots);
}

/** Puts every point into its cell. `along` is how far along its strand each vertex lies. */
export function fillCells(along: StaticArray<f64>): void {
  divide();
  const cells = cellsX * cellsY;
  memory.fill(at(starts), 0, (<usize>cells + 1) << 2);
  for (let i = 0; i < points; i++) {
    const cell = cellX(midway(i, 0)) * cellsY + cellY(midway(i, 1));
    cellOf[i] = cell;
    starts[cell + 1] += 1;
  }
  for (let cell = 0; cell < cells; cell++) {
    next[cell] = starts[cell];
    starts[cell + 1] += starts[cell];
  }
  for (let i = 0; i < points; i++) {
    const slot = next[cellOf[i]]++;
    const v = ends[2 * i];
    pointAt[slot] = i;
    xs[slot] = midway(i, 0);
    ys[slot] = midway(i, 1);
    zs[slot] = midway(i, 2);
    halves[slot] = half[v];
    alongActive[slot] = v < standingFirst ? along[v] : onOtherStrand;
    alongStanding[slot] = v < standingFirst ? onOtherStrand : along[v];
    shortXs[slot] = <f32>xs[slot];
    shortYs[slot] = <f32>ys[slot];
    shortZs[slot] = <f32>zs[slot];
    shortHalves[slot] = <f32>half[v];
    shortActive[slot] = <f32>alongActive[slot];
    shortStanding[slot] = <f32>alongStanding[slot];
  }
}

/** The cell along each axis; what lies beyond all of them counts to the outermost. */
export function cellX(mm: f64): i32 {
  return within(<i32>floor((mm - lowX) / cellMm), cellsX);
}

export function cellY(mm: f64): i32 {
  return within(<i32>floor((mm - lowY) / cellMm), cellsY);
}

/** The first slot of a cell; at the same x, those of cells at a greater y follow. */
export function firstSlot(x: i32, y: i32): i32 {
  return starts[x * cellsY + y];
}

function within(cell: i32, cells: i32): i32 {
  return cell < 0 ? 0 : cell < cells ? cell : cells - 1;
}

/** Where a point lies along an axis. */
function midway(point: i32, axis: i32): f64 {
  return (position[3 * ends[2 * point] + axis] + position[3 * ends[2 * point + 1] + axis]) / 2;
}

function divide(): void {
  let highX = -Infinity;
  let highY = -Infinity;
  lowX = Infinity;
  lowY = Infinity;
  // All points lie between vertices.
  for (let i = 0; i < 3 * count; i += 3) {
    lowX = min(lowX, position[i]);
    highX = max(highX, position[i]);
    lowY = min(lowY, position[i + 1]);
    highY = max(highY, position[i + 1]);
  }
  cellMm = usualCellMm;
  for (;;) {
    const x = floor((highX - lowX) / cellMm) + 1;
    const y = floor((highY - lowY) / cellMm) + 1;
    if (x * y <= mostCells) {
      cellsX = <i32>x;
      cellsY = <i32>y;
      return;
    }
    cellMm *= 1.25;
  }
}
