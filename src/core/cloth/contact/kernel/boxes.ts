import { columns, faces, firstOf, position } from './cloth';

/** Of each face's box: its middle, its three axes (along the row, across it, and off both), and half its length along each. */
export const figures: i32 = 15;
export const axesAt: i32 = 3;
export const lengthsAt: i32 = 12;
/** Enough to tell at once that a point is far from a face. */
export let boxes = new StaticArray<f64>(0);
let measuredIn = new StaticArray<i32>(0);
let time: i32 = 0;

export function layBoxes(): void {
  boxes = new StaticArray<f64>(figures * faces);
  measuredIn = new StaticArray<i32>(faces);
}

/** What was measured before counts no more: the cloth has moved. */
export function outdate(): void {
  time++;
}

/** Measures a face's box, where that was not done since the cloth moved. */
export function ensureMeasured(face: i32): void {
  if (measuredIn[face] !== time) measure(face);
}

/** A place is at least so far from any point of the face, mm: as far as from its box, as measured. */
export function leastApart(face: i32, px: f64, py: f64, pz: f64): f64 {
  const i = figures * face;
  const all = boxes;
  const x = px - all[i];
  const y = py - all[i + 1];
  const z = pz - all[i + 2];
  const r = abs(x * all[i + 3] + y * all[i + 4] + z * all[i + 5]) - all[i + 12];
  const t = abs(x * all[i + 6] + y * all[i + 7] + z * all[i + 8]) - all[i + 13];
  const n = abs(x * all[i + 9] + y * all[i + 10] + z * all[i + 11]) - all[i + 14];
  return sqrt((r > 0 ? r * r : 0) + (t > 0 ? t * t : 0) + (n > 0 ? n * n : 0));
}

/** Lays the box along the plane across both diagonals, and in that plane along the row. */
function measure(face: i32): void {
  const p = position;
  const i = figures * face;
  const a = 3 * firstOf[face];
  const b = a + 3;
  const c = a + 3 * columns;
  const d = c + 3;
  measuredIn[face] = time;
  const ux = p[d] - p[a];
  const uy = p[d + 1] - p[a + 1];
  const uz = p[d + 2] - p[a + 2];
  const wx = p[b] - p[c];
  const wy = p[b + 1] - p[c + 1];
  const wz = p[b + 2] - p[c + 2];
  // Both diagonals together run along the row.
  setUnit(i + 3, ux + wx, uy + wy, uz + wz);
  setUnit(i + 9, wy * uz - wz * uy, wz * ux - wx * uz, wx * uy - wy * ux);
  const rx = boxes[i + 3];
  const ry = boxes[i + 4];
  const rz = boxes[i + 5];
  const nx = boxes[i + 9];
  const ny = boxes[i + 10];
  const nz = boxes[i + 11];
  setUnit(i + 6, ny * rz - nz * ry, nz * rx - nx * rz, nx * ry - ny * rx);
  // Summed row by row: the same for a face in a mirror, to the bit.
  const mx = (p[a] + p[b] + (p[c] + p[d])) / 4;
  const my = (p[a + 1] + p[b + 1] + (p[c + 1] + p[d + 1])) / 4;
  const mz = (p[a + 2] + p[b + 2] + (p[c + 2] + p[d + 2])) / 4;
  boxes[i] = mx;
  boxes[i + 1] = my;
  boxes[i + 2] = mz;
  for (let axis = 0; axis < 3; axis++) {
    const k = i + axesAt + 3 * axis;
    const ex = boxes[k];
    const ey = boxes[k + 1];
    const ez = boxes[k + 2];
    const ofA = abs((p[a] - mx) * ex + (p[a + 1] - my) * ey + (p[a + 2] - mz) * ez);
    const ofB = abs((p[b] - mx) * ex + (p[b + 1] - my) * ey + (p[b + 2] - mz) * ez);
    const ofC = abs((p[c] - mx) * ex + (p[c + 1] - my) * ey + (p[c + 2] - mz) * ez);
    const ofD = abs((p[d] - mx) * ex + (p[d + 1] - my) * ey + (p[d + 2] - mz) * ez);
    boxes[i + lengthsAt + axis] = larger(larger(ofA, ofB), larger(ofC, ofD));
  }
}

function setUnit(i: i32, x: f64, y: f64, z: f64): void {
  const length = sqrt(x * x + y * y + z * z);
  const by = length > 0 ? length : 1;
  boxes[i] = x / by;
  boxes[i + 1] = y / by;
  boxes[i + 2] = z / by;
}

/** `max` answers for what is no number as well, which takes its time. */
export function larger(a: f64, b: f64): f64 {
  return a > b ? a : b;
}
