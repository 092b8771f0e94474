/** A place or a direction in space. */
export type Vec3 = readonly [x: number, y: number, z: number];

export function minus(a: Vec3, b: Vec3): Vec3 {
  return [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
}

export function cross(a: Vec3, b: Vec3): Vec3 {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}

export function dot(a: Vec3, b: Vec3): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}

export function size([x, y, z]: Vec3): number {
  return Math.sqrt(x * x + y * y + z * z);
}

/** The same direction of size 1; nothing stays nothing. */
export function unit(v: Vec3): Vec3 {
  const length = size(v) || 1;
  return [v[0] / length, v[1] / length, v[2] / length];
}
