/** A place in a plane, mm. */
export type Place = readonly [x: number, y: number];

/** A curve by its control points: two of a straight line, three quadratic, four cubic. After Bézier. */
export type Bezier = readonly Place[];

/** The place at a share of a curve's way, 0 to 1. Source: de Casteljau's construction. */
export function placeOn(curve: Bezier, share: number): Place {
  let points = curve;
  while (points.length > 1) {
    points = points.slice(1).map(([x, y], i): Place => {
      const [px, py] = points[i] ?? [x, y];
      return [px + (x - px) * share, py + (y - py) * share];
    });
  }
  return points[0] ?? [0, 0];
}

/** The place at a share of several curves one after the other, each as long as the next. */
export function placeAlong(curves: readonly Bezier[], share: number): Place {
  const at = Math.min(0.999999, Math.max(0, share)) * curves.length;
  const which = Math.floor(at);
  return placeOn(curves[which] ?? [], share >= 1 ? 1 : at - which);
}
