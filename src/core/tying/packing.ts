/** Cloth packed around a spoke lies as an ellipse, this much longer across the front than it is deep. */
export const frontFlatness = 2.2;

/** Diameter of a circle of an area. */
export function diameter(area: number): number {
  return 2 * Math.sqrt(area / Math.PI);
}

/** How deep the cloth packed around the hanging end lies, mm: the short axis of the ellipse whose long one is the middle. */
export function depthOf(section: number): number {
  return diameter(section / frontFlatness);
}
