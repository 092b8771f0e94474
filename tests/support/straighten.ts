import type { Vec3 } from '../../src/core/numeric/vector.ts';

/**
 * Straightens a closed polygon without ever passing a strand through another: a corner is taken
 * out only where the triangle it spans with its neighbours is free of every other edge, which is
 * an isotopy. Answers what is left. Three corners are a triangle, so the curve was unknotted:
 * a proof. More corners prove nothing by themselves.
 */
export function straightened(points: readonly Vec3[], from = 0): Vec3[] {
  const left = points.map(jittered);
  left.push(...left.splice(0, from % left.length));
  let removed = true;
  while (removed && left.length > 3) {
    removed = false;
    for (let i = left.length - 1; i >= 0 && left.length > 3; i -= 1) {
      if (isFree(left, i)) {
        left.splice(i, 1);
        removed = true;
      }
    }
  }
  return left;
}

const attempts = 24;

/** Whether one of several orders of straightening leaves nothing but a triangle: then the curve is proved to be unknotted. */
export function provedUnknotted(points: readonly Vec3[]): boolean {
  return Array.from({ length: attempts }, (_, i) => i * 7).some((from) => straightened(points, from).length === 3);
}

/** Off its place by far less than strands are apart, so that no three points lie on a line by construction. */
function jittered([x, y, z]: Vec3, i: number): Vec3 {
  const off = (seed: number) => 0.02 * Math.sin(seed * (i + 1) * 12.9898);
  return [x + off(1), y + off(2.3), z + off(3.7)];
}

function isFree(points: readonly Vec3[], i: number): boolean {
  const count = points.length;
  const at = (k: number) => points[(k + count) % count] as Vec3;
  const [a, b, c] = [at(i - 1), at(i), at(i + 1)];
  for (let k = 0; k < count; k += 1) {
    const from = (i + 1 + k) % count;
    const to = (from + 1) % count;
    if (from === i || to === i) continue;
    if (pierces(at(from), at(to), a, b, c, from === (i + 1) % count || to === (i - 1 + count) % count)) return false;
  }
  return true;
}

const eps = 1e-9;

/** Whether the edge p–q meets the triangle; one that only shares a corner with it does not count there. */
function pierces(p: Vec3, q: Vec3, a: Vec3, b: Vec3, c: Vec3, touches: boolean): boolean {
  const ab = minus(b, a);
  const ac = minus(c, a);
  const direction = minus(q, p);
  const h = cross(direction, ac);
  const det = dot(ab, h);
  if (Math.abs(det) < eps) return false;
  const s = minus(p, a);
  const u = dot(s, h) / det;
  const r = cross(s, ab);
  const v = dot(direction, r) / det;
  const t = dot(ac, r) / det;
  const margin = 1e-7;
  if (u < -margin || v < -margin || u + v > 1 + margin) return false;
  return touches ? t > margin && t < 1 - margin : t > -margin && t < 1 + margin;
}

function minus([x, y, z]: Vec3, [a, b, c]: Vec3): Vec3 {
  return [x - a, y - b, z - c];
}

function cross([x, y, z]: Vec3, [a, b, c]: Vec3): Vec3 {
  return [y * c - z * b, z * a - x * c, x * b - y * a];
}

function dot([x, y, z]: Vec3, [a, b, c]: Vec3): number {
  return x * a + y * b + z * c;
}
