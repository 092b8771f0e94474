export type Point = readonly [x: number, y: number];

/** Straight line through (x0, y0) and (x1, y1), at `x`. */
export function between(x: number, x0: number, y0: number, x1: number, y1: number): number {
  return x1 === x0 ? y1 : y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
}

/** A curve through `points` (x rising), level beyond its ends. */
export function piecewise(points: readonly [Point, ...Point[]]): (x: number) => number {
  return (x) => {
    const after = points.findIndex(([px]) => px >= x);
    const last = points[points.length - 1] ?? points[0];
    if (after === -1) return last[1];
    const right = points[after] ?? last;
    const left = points[after - 1];
    return left ? between(x, ...left, ...right) : right[1];
  };
}
