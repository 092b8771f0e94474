/** Half the width of a neck seen from the front, from its way around: wider than deep, so less than a circle's. mm. */
export function neckHalfWidth(neckMm: number): number {
  return (neckMm / Math.PI / 2) * 0.97;
}
