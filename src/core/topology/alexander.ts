import type { Vec3 } from '../numeric/vector.ts';

interface Visit {
  readonly segment: number;
  readonly at: number;
  readonly over: boolean;
  readonly crossing: number;
  readonly sign: 1 | -1;
}

/** Large, so that no value is a power of another by chance. */
const prime = 2n ** 61n - 1n;
const mod = (value: bigint) => ((value % prime) + prime) % prime;

/**
 * The Alexander polynomial of a closed polygon at one value of its variable, modulo a prime, from the
 * coloring matrix of its diagram. Diagrams of one knot agree up to a sign and a power of the value.
 */
export function alexanderAt(points: readonly Vec3[], value: bigint): bigint {
  return alexanderDeterminant(points.map(turned), value);
}

/** Whether two values of the polynomial are one, up to a sign and a power of the value. */
export function agree(one: bigint, other: bigint, value: bigint): boolean {
  if (one === 0n || other === 0n) return one === other;
  let up = one;
  let down = other;
  for (let exponent = 0; exponent < mostPower; exponent++) {
    if (up === other || up === mod(-other) || down === one || down === mod(-one)) return true;
    up = mod(up * value);
    down = mod(down * value);
  }
  return false;
}

const mostPower = 400;
const someValue = 123_457n;

/**
 * Whether the polynomial is trivial at one value. A knot whose polynomial is not is knotted beyond doubt; one
 * whose is may still be knotted, from eleven crossings on.
 */
export function isUnknotted(points: readonly Vec3[]): boolean {
  return agree(1n, alexanderAt(points, someValue), someValue);
}

function alexanderDeterminant(points: readonly Vec3[], t: bigint): bigint {
  const visits = crossingVisits(points);
  const count = visits.length / 2;
  if (count < 2) return 1n;
  const rows = Array.from({ length: count }, () => new Array<bigint>(count).fill(0n));
  const add = (row: number, column: number, by: bigint) => {
    const cells = rows[row];
    if (cells) cells[column] = mod((cells[column] ?? 0n) + by);
  };
  let arc = 0;
  for (const { crossing, over, sign } of visits) {
    if (over) {
      add(crossing, arc % count, 1n - t);
      continue;
    }
    add(crossing, arc % count, sign > 0 ? -1n : t);
    add(crossing, (arc + 1) % count, sign > 0 ? t : -1n);
    arc++;
  }
  return determinant(rows.slice(0, -1).map((row) => row.slice(0, -1)));
}

/** Every crossing of the projection, met twice in the order of travel. */
function crossingVisits(points: readonly Vec3[]): Visit[] {
  const visits: Visit[] = [];
  const count = points.length;
  let crossing = 0;
  for (let i = 0; i < count; i++) {
    for (let j = i + 2; j < count; j++) {
      if (i === 0 && j === count - 1) continue;
      const [a, b, c, d] = [points[i], points[(i + 1) % count], points[j], points[(j + 1) % count]];
      if (!a || !b || !c || !d) continue;
      const [rx, ry, sx, sy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
      const cross = rx * sy - ry * sx;
      const u = ((c[0] - a[0]) * sy - (c[1] - a[1]) * sx) / cross;
      const v = ((c[0] - a[0]) * ry - (c[1] - a[1]) * rx) / cross;
      if (!(u > 0 && u < 1 && v > 0 && v < 1)) continue;
      const firstOver = a[2] + u * (b[2] - a[2]) > c[2] + v * (d[2] - c[2]);
      const sign = (firstOver ? cross : -cross) > 0 ? 1 : -1;
      visits.push({ segment: i, at: u, over: firstOver, crossing, sign }, { segment: j, at: v, over: !firstOver, crossing, sign });
      crossing++;
    }
  }
  return visits.sort((p, q) => p.segment - q.segment || p.at - q.at);
}

function determinant(matrix: bigint[][]): bigint {
  const size = matrix.length;
  let result = 1n;
  for (let column = 0; column < size; column++) {
    const pivot = matrix.findIndex((row, i) => i >= column && row[column] !== 0n);
    const top = matrix[pivot];
    if (!top) return 0n;
    if (pivot !== column) {
      matrix[pivot] = matrix[column] ?? [];
      matrix[column] = top;
      result = mod(-result);
    }
    const lead = top[column] ?? 0n;
    result = mod(result * lead);
    const inverse = power(lead, prime - 2n);
    for (let i = column + 1; i < size; i++) {
      const row = matrix[i] ?? [];
      const factor = mod((row[column] ?? 0n) * inverse);
      if (factor !== 0n) for (let k = column; k < size; k++) row[k] = mod((row[k] ?? 0n) - factor * (top[k] ?? 0n));
    }
  }
  return result;
}

function power(base: bigint, exponent: bigint): bigint {
  let result = 1n;
  for (let b = mod(base), e = exponent; e > 0n; e >>= 1n, b = mod(b * b)) if (e & 1n) result = mod(result * b);
  return result;
}

/** Turned out of the planes it was built in, so that no two segments overlap in projection. */
function turned([x, y, z]: Vec3): Vec3 {
  const [w, i, j, k] = [0.31, 0.52, 0.71, 0.36].map((part) => part / Math.hypot(0.31, 0.52, 0.71, 0.36)) as [
    number,
    number,
    number,
    number,
  ];
  return [
    (1 - 2 * (j * j + k * k)) * x + 2 * (i * j - k * w) * y + 2 * (i * k + j * w) * z,
    2 * (i * j + k * w) * x + (1 - 2 * (i * i + k * k)) * y + 2 * (j * k - i * w) * z,
    2 * (i * k - j * w) * x + 2 * (j * k + i * w) * y + (1 - 2 * (i * i + j * j)) * z,
  ];
}
