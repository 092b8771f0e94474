import type { Canvas } from './raster.ts';

/** How far around a place it is looked for what keeps the light off it, mm. */
const aroundMm = [1.2, 3, 6.5] as const;
/** In so many directions, each with the one against it. */
const pairs = 4;
/** Nothing that stands steeper than this keeps off more, as a rise over its distance. */
const steepest = 2;
/** The share of its light that the deepest hollow loses. */
const darkest = 0.75;

/**
 * Darkens hollows of what is painted, a dimple, the fold beside it, the cloth at a layer's edge: what stands higher around a place
 * keeps light off it. From the depths alone (Bavoil, Sainz, Dimitrov 2008, by horizons), each direction against its opposite, so that
 * a slope counts as flat.
 */
export function darkenHollows({ pixels, depth: { widthPx, heightPx, z } }: Canvas, pxPerMm: number): void {
  // Rounded alike to either side, so that a picture seen in a mirror comes out as in a mirror.
  const px = (mm: number) => Math.sign(mm) * Math.round(Math.abs(mm) * pxPerMm);
  const ways = Array.from({ length: pairs }, (_, i) => (Math.PI * i) / pairs).map((angle) =>
    aroundMm.map((mm) => {
      const [dx, dy] = [px(mm * Math.cos(angle)), px(mm * Math.sin(angle))];
      return { dx, dy, mm: Math.hypot(dx, dy) / pxPerMm || mm };
    }),
  );
  const rise = (own: number, x: number, y: number, mm: number): number => {
    if (x < 0 || y < 0 || x >= widthPx || y >= heightPx) return -steepest;
    return Math.max(-steepest, Math.min(steepest, ((z[y * widthPx + x] as number) - own) / mm));
  };
  for (let y = 0; y < heightPx; y++) {
    for (let at = y * widthPx, x = 0; x < widthPx; x++, at++) {
      const own = z[at] as number;
      if (own === Number.NEGATIVE_INFINITY) continue;
      let hollow = 0;
      for (const way of ways) {
        let ahead = -steepest;
        let behind = -steepest;
        for (const { dx, dy, mm } of way) {
          ahead = Math.max(ahead, rise(own, x + dx, y + dy, mm));
          behind = Math.max(behind, rise(own, x - dx, y - dy, mm));
        }
        const over = Math.max(0, ahead + behind) / 2;
        hollow += over / (1 + over);
      }
      const lit = 1 - (darkest * hollow) / pairs / (steepest / (1 + steepest));
      for (let part = 4 * at; part < 4 * at + 3; part++) pixels[part] = lit * (pixels[part] as number);
    }
  }
}
