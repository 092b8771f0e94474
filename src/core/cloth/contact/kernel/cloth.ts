/**
 * The cloth as it is handed over, and the points and faces of it that keep off each other; all lengths in mm. Where a loop reads an
 * array often it is held in a constant of the loop's own: one that others can change would be looked up each time.
 */

export let columns: i32 = 0;
export let count: i32 = 0;
/** The first vertex of the standing strand. */
export let standingFirst: i32 = 0;

/** x, y, z of every vertex now and before this step, half its thickness, and the length from each row to the next. */
export let position = new StaticArray<f64>(0);
export let before = new StaticArray<f64>(0);
export let half = new StaticArray<f64>(0);
export let activeRest = new StaticArray<f64>(0);
export let standingRest = new StaticArray<f64>(0);

/** Points that keep off, as two vertices each: every vertex, twice the same, then the middles of the borders between rows. */
export let points: i32 = 0;
export let ends = new StaticArray<i32>(0);

/** The faces between neighbouring rows and columns: the vertex of each in its first row and column, and its two triangles. */
export let faces: i32 = 0;
export let firstOf = new StaticArray<i32>(0);
export let corners = new StaticArray<i32>(0);

export function layCloth(itsColumns: i32, activeRows: i32, standingRows: i32): void {
  columns = itsColumns;
  standingFirst = activeRows * columns;
  count = (activeRows + standingRows) * columns;
  position = newPlaces();
  before = newPlaces();
  half = new StaticArray<f64>(count);
  activeRest = new StaticArray<f64>(activeRows - 1);
  standingRest = new StaticArray<f64>(standingRows - 1);
  const gaps = activeRows - 1 + standingRows - 1;
  points = count + 2 * gaps;
  ends = new StaticArray<i32>(2 * points);
  for (let v = 0; v < count; v++) setPoint(v, v, v);
  faces = gaps * (columns - 1);
  firstOf = new StaticArray<i32>(faces);
  corners = new StaticArray<i32>(6 * faces);
  layGaps(0, 0, activeRows - 1);
  layGaps(activeRows - 1, standingFirst, standingRows - 1);
}

/** x, y, z for every vertex, and where that is an odd number one more: they are gone through two by two. */
export function newPlaces(): StaticArray<f64> {
  return new StaticArray<f64>(3 * count + (count & 1));
}

/** Faces and border points between so many rows of a strand and the next; `gap` is the number of the first such gap. */
function layGaps(gap: i32, first: i32, gaps: i32): void {
  for (let row = 0; row < gaps; row++) {
    const left = first + row * columns;
    const point = count + 2 * (gap + row);
    setPoint(point, left, left + columns);
    setPoint(point + 1, left + columns - 1, left + 2 * columns - 1);
    for (let column = 0; column < columns - 1; column++) layFace((gap + row) * (columns - 1) + column, left + column, row, column);
  }
}

function setPoint(point: i32, v: i32, w: i32): void {
  ends[2 * point] = v;
  ends[2 * point + 1] = w;
}

/**
 * A face's two triangles, of which all first corners lie in its first row. Diagonals alternate, so that the cloth has no grain of
 * its own, and are the same from either edge to the middle, so that it has no left or right.
 */
function layFace(face: i32, vertex: i32, row: i32, column: i32): void {
  const inward = 2 * column < columns - 1;
  const v = inward ? vertex : vertex + 1;
  const w = inward ? vertex + 1 : vertex;
  const even = (row + (inward ? column : columns - 2 - column)) % 2 === 0;
  const t = 6 * face;
  firstOf[face] = vertex;
  corners[t] = v;
  corners[t + 1] = w;
  corners[t + 2] = even ? v + columns : w + columns;
  corners[t + 3] = even ? w : v;
  corners[t + 4] = w + columns;
  corners[t + 5] = v + columns;
}

/** Square of how far a vertex, whose x is at `i`, is from where it is in `q`. */
export function squareApart(p: StaticArray<f64>, q: StaticArray<f64>, i: i32): f64 {
  const dx = p[i] - q[i];
  const dy = p[i + 1] - q[i + 1];
  const dz = p[i + 2] - q[i + 2];
  return dx * dx + dy * dy + dz * dz;
}

/** The address of an array's first entry. */
export function at<T>(array: StaticArray<T>): usize {
  return changetype<usize>(array);
}

/** All entries of one array in one twice as long. */
export function doubled<T>(from: StaticArray<T>): StaticArray<T> {
  const to = new StaticArray<T>(2 * from.length);
  memory.copy(at(to), at(from), (<usize>from.length) << alignof<T>());
  return to;
}

export function clear<T>(array: StaticArray<T>): void {
  memory.fill(at(array), 0, (<usize>array.length) << alignof<T>());
}

export function copy<T>(from: StaticArray<T>, to: StaticArray<T>): void {
  memory.copy(at(to), at(from), (<usize>from.length) << alignof<T>());
}
