import { neckRadiusMm, shirtZMm } from '../cloth/forces/body.ts';
import type { ClothMesh, Strand } from '../cloth/mesh/mesh.ts';
import { frontPart } from './front.ts';

/** What is read off a knot tied in cloth, mm and degrees; sides are the wearer's own, as in a mirror. */
export interface ClothMeasures {
  /** Cloth that both strands take up: what they hold between their ends less the straight ways, over the neck to the collar button and from there. */
  readonly takeUpMm: number;
  readonly topMm: number;
  readonly bottomMm: number;
  readonly heightMm: number;
  readonly depthMm: number;
  /** Of the front band's middle line against level; positive where it rises to the wearer's right. */
  readonly tiltDeg: number;
  /** How far the knot reaches past the middle of its bottom, on each side. */
  readonly leftMm: number;
  readonly rightMm: number;
}

const slices = 24;
const middleHalfMm = 8;
/** A calliper's jaw is so wide, about: between its jaws lies what reaches out furthest over that. */
const jawMm = 4;
/** Where no band tells, so much of the first turn counts to the arm that it comes from under the collar. */
const rootMm = 16;

type KnotSizes = Omit<ClothMeasures, 'takeUpMm' | 'tiltDeg'>;

/** Reads the measures off the rows of the knot itself; arms and ends that hang or are led away are left out. */
export function measureCloth(mesh: ClothMesh): ClothMeasures {
  const { position: p, columns, active } = mesh;
  const knot: number[] = [];
  /** What passes across the front, where the knot does not end in a fall. */
  const across: number[] = [];
  const first = firstRowOfFace(mesh);
  const endY = p[3 * (active.first + (active.rows - 1) * columns + Math.floor(columns / 2)) + 1] ?? 0;
  const facing = frontPart(active.parts, endY);
  for (let row = 0; row < active.rows; row++) {
    const part = active.parts[row];
    if (part === 'arm' || part === 'hang' || part === 'tuck' || (part === 'top' && facing === 'turn')) continue;
    if (row < first) continue;
    knot.push(row);
    if (part === facing && facing !== 'top') across.push(row);
  }
  const threads = threadsOf(mesh, knot);
  const face = across.length > 0 ? threadsOf(mesh, across) : threads;
  const tiltDeg = tiltOf(mesh, active);
  // Callipers are laid along the knot's own upper edge; how far it reaches to either side is told as it hangs.
  const { topMm, bottomMm, heightMm, depthMm } = sizesIn(mesh, threads, face, -tiltDeg);
  const { leftMm, rightMm } = sizesIn(mesh, threads, face, 0);
  const takeUpMm = takenUpBy(mesh, active) + takenUpBy(mesh, mesh.standing);
  return { takeUpMm, topMm, bottomMm, heightMm, depthMm, tiltDeg, leftMm, rightMm };
}

/** Two points of the cloth that lie next to each other, across it or along it. */
type Thread = readonly [from: number, to: number];

/** What some rows of the active strand are woven of: all threads across each of them, and along between those that follow each other. */
function threadsOf({ columns, active }: ClothMesh, rows: readonly number[]): Thread[] {
  const is = new Set(rows);
  return rows.flatMap((row) =>
    Array.from({ length: columns }, (_, c) => active.first + row * columns + c).flatMap((v, c): Thread[] => [
      ...(c + 1 < columns ? [[v, v + 1] as const] : []),
      ...(is.has(row + 1) ? [[v, v + columns] as const] : []),
    ]),
  );
}

type Coordinate = (v: number) => number;

/** How far threads reach in one coordinate, of those parts only that lie between two bounds in another. */
function reach(threads: readonly Thread[], of: Coordinate, where: Coordinate, from: number, to: number): readonly [number, number] {
  let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const [v, w] of threads) {
    const [a, b] = where(v) <= where(w) ? [v, w] : [w, v];
    const [low, high] = [where(a), where(b)];
    if (low > to || high < from) continue;
    const at = (bound: number) => (high > low ? of(a) + ((bound - low) / (high - low)) * (of(b) - of(a)) : of(b));
    for (const each of [low < from ? at(from) : of(a), high > to ? at(to) : of(b)]) {
      least = Math.min(least, each);
      most = Math.max(most, each);
    }
  }
  return least <= most ? [least, most] : [0, 0];
}

/** Sizes of what is of the knot, and across its face, once it is turned by so much, as on a clock backwards. */
function sizesIn({ position: p }: ClothMesh, knot: readonly Thread[], face: readonly Thread[], turnDeg: number): KnotSizes {
  const [cos, sin] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
  const at = (v: number, axis: number) => p[3 * v + axis] ?? 0;
  const xOf: Coordinate = (v) => cos * at(v, 0) - sin * at(v, 1);
  const yOf: Coordinate = (v) => sin * at(v, 0) + cos * at(v, 1);
  const zOf: Coordinate = (v) => at(v, 2);
  // The flanks of a band that leans stand higher and lower than its middle: its height is that of the middle.
  const middleX = face.reduce((sum, [v, w]) => sum + (xOf(v) + xOf(w)) / 2, 0) / face.length;
  const [bottomY, topY] = reach(face, yOf, xOf, middleX - middleHalfMm, middleX + middleHalfMm);
  const [back, front] = reach(knot, zOf, yOf, bottomY, topY);
  const spanAt = (y: number) => reach(knot, xOf, yOf, y - jawMm / 2, y + jawMm / 2);
  const spans = Array.from({ length: slices }, (_, i) => spanAt(bottomY + ((i + 0.5) / slices) * (topY - bottomY)));
  const width = ([from, to]: readonly [number, number]) => to - from;
  const lowest = spans.slice(1, 4).map(width);
  const bottomMiddle = spans[2] ? (spans[2][0] + spans[2][1]) / 2 : 0;
  const [left, right] = range(spans.flat());
  return {
    topMm: Math.max(...spans.slice(slices / 2).map(width)),
    bottomMm: lowest.reduce((sum, each) => sum + each, 0) / lowest.length,
    heightMm: topY - bottomY,
    depthMm: front - back,
    leftMm: bottomMiddle - left,
    rightMm: right - bottomMiddle,
  };
}

/**
 * Cloth that a strand holds beyond the straight way from its first row, over the neck to the collar button, and from there to its
 * last row. What is read off between fixed places does not hang on which rows have come to lie in the knot.
 */
function takenUpBy({ position: p, columns }: ClothMesh, { first, rows, rest }: Strand): number {
  const place = (row: number) => {
    const i = 3 * (first + row * columns + Math.floor(columns / 2));
    return [p[i] ?? 0, p[i + 1] ?? 0, p[i + 2] ?? 0] as const;
  };
  const [x, y, z] = place(0);
  const round = neckRadiusMm * Math.atan2(Math.abs(x), z - (shirtZMm - neckRadiusMm));
  const [endX, endY] = place(rows - 1);
  return rest.subarray(0, rows - 1).reduce((sum, mm) => sum + mm, 0) - Math.hypot(round, y) - Math.hypot(endX, endY);
}

/** The first turn comes down from under the collar: it is of the face only from where its middle lies lower than the band's top. */
function firstRowOfFace({ position: p, columns, active }: ClothMesh): number {
  const { parts, rest } = active;
  const middleY = (row: number) => p[3 * (active.first + row * columns + Math.floor(columns / 2)) + 1] ?? 0;
  const bandTop = Math.max(
    ...parts.flatMap((part, row) =>
      part === 'band' ? Array.from({ length: columns }, (_, c) => p[3 * (active.first + row * columns + c) + 1] ?? 0) : [],
    ),
  );
  let row = parts.findIndex((part) => part !== 'arm');
  if (Number.isFinite(bandTop)) {
    while (parts[row] !== 'band' && middleY(row) > bandTop) row++;
    return row;
  }
  for (let inKnotMm = 0; inKnotMm < rootMm; row++) inKnotMm += rest[row] ?? rootMm;
  return row;
}

/** The band's middle line, fitted where it faces the front. */
function tiltOf({ position: p, normal: n, columns }: ClothMesh, { first, rows, parts }: Strand): number {
  const middle = Math.floor(columns / 2);
  const points: (readonly [number, number])[] = [];
  for (let row = 0; row < rows; row++) {
    const i = 3 * (first + row * columns + middle);
    if (parts[row] === 'band' && Math.abs(n[i + 2] ?? 0) > facingFront) points.push([p[i] ?? 0, p[i + 1] ?? 0]);
  }
  if (points.length < 2) return 0;
  const mean = (axis: 0 | 1) => points.reduce((sum, point) => sum + point[axis], 0) / points.length;
  const [mx, my] = [mean(0), mean(1)];
  const [xx, xy] = points.reduce(([a, b], [x, y]) => [a + (x - mx) ** 2, b + (x - mx) * (y - my)], [0, 0]);
  return xx > 0 ? (Math.atan(xy / xx) * 180) / Math.PI : 0;
}

const facingFront = 0.7;

function range(values: readonly number[]): readonly [number, number] {
  return values.length > 0 ? [Math.min(...values), Math.max(...values)] : [0, 0];
}
