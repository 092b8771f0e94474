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
  const looks = pairs * aroundMm.length;
  const dx = new Int32Array(looks);
  const dy = new Int32Array(looks);
  const mm = new Float64Array(looks);
  // Rounded alike to either side, so that a picture seen in a mirror comes out as in a mirror.
  const px = (way: number) => Math.sign(way) * Math.round(Math.abs(way) * pxPerMm);
  for (let look = 0; look < looks; look++) {
    const around = aroundMm[look % aroundMm.length] ?? 0;
    const angle = (Math.PI * Math.floor(look / aroundMm.length)) / pairs;
    dx[look] = px(around * Math.cos(angle));
    dy[look] = px(around * Math.sin(angle));
    mm[look] = Math.hypot(dx[look] as number, dy[look] as number) / pxPerMm || around;
  }
  // A frame of nothing around the picture: whatever is looked at lies in it, and lies as deep as can be.
  const frame = Math.ceil(Math.max(...aroundMm) * pxPerMm) + 1;
  const wide = widthPx + 2 * frame;
  const heights = new Float32Array(wide * (heightPx + 2 * frame)).fill(Number.NEGATIVE_INFINITY);
  for (let y = 0; y < heightPx; y++) heights.set(z.subarray(y * widthPx, (y + 1) * widthPx), (y + frame) * wide + frame);
  const off = dx.map((right, look) => (dy[look] as number) * wide + right);
  for (let y = 0; y < heightPx; y++) {
    for (let at = y * widthPx, x = 0; x < widthPx; x++, at++) {
      const here = (y + frame) * wide + frame + x;
      const own = heights[here] as number;
      if (own === Number.NEGATIVE_INFINITY) continue;
      let hollow = 0;
      for (let look = 0; look < looks; ) {
        let ahead = -steepest;
        let behind = -steepest;
        for (let near = 0; near < aroundMm.length; near++, look++) {
          const on = ((heights[here + (off[look] as number)] as number) - own) / (mm[look] as number);
          const back = ((heights[here - (off[look] as number)] as number) - own) / (mm[look] as number);
          if (on > ahead) ahead = on;
          if (back > behind) behind = back;
        }
        const over = (Math.min(steepest, ahead) + Math.min(steepest, behind)) / 2;
        if (over > 0) hollow += over / (1 + over);
      }
      if (hollow === 0) continue;
      const lit = 1 - (darkest * hollow) / pairs / (steepest / (1 + steepest));
      for (let part = 4 * at; part < 4 * at + 3; part++) pixels[part] = lit * (pixels[part] as number);
    }
  }
}
