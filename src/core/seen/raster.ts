/** What is nearest the eye at every pixel so far, mm toward it. */
export interface Depth {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly z: Float32Array;
}

export function emptyDepth(widthPx: number, heightPx: number): Depth {
  return { widthPx, heightPx, z: new Float32Array(widthPx * heightPx).fill(Number.NEGATIVE_INFINITY) };
}

/** A picture that is being painted: RGBA bytes, row by row, and how near the eye what is seen of each pixel is. */
export interface Canvas {
  readonly pixels: Uint8ClampedArray;
  readonly depth: Depth;
}

export function emptyCanvas({ widthPx, heightPx }: { readonly widthPx: number; readonly heightPx: number }): Canvas {
  return { pixels: new Uint8ClampedArray(4 * widthPx * heightPx), depth: emptyDepth(widthPx, heightPx) };
}

/**
 * Goes over the pixels where a triangle is nearer than what was there before, and tells the shares of its corners in
 * each. `seen` holds x and y in px and z in mm toward the eye.
 */
export function coverFace(
  seen: Float64Array,
  a: number,
  b: number,
  c: number,
  { widthPx, heightPx, z: nearest }: Depth,
  onPixel: (at: number, u: number, w: number, q: number, z: number) => void,
): void {
  const ax = seen[3 * a] as number;
  const ay = seen[3 * a + 1] as number;
  const bx = seen[3 * b] as number;
  const by = seen[3 * b + 1] as number;
  const cx = seen[3 * c] as number;
  const cy = seen[3 * c + 1] as number;
  const area = (by - cy) * (ax - cx) + (cx - bx) * (ay - cy);
  if (Math.abs(area) < 1e-9) return;
  const fromX = Math.max(0, Math.ceil(Math.min(ax, bx, cx) - 0.5));
  const toX = Math.min(widthPx - 1, Math.floor(Math.max(ax, bx, cx)));
  const fromY = Math.max(0, Math.ceil(Math.min(ay, by, cy) - 0.5));
  const toY = Math.min(heightPx - 1, Math.floor(Math.max(ay, by, cy)));
  for (let py = fromY; py <= toY; py++) {
    for (let px = fromX; px <= toX; px++) {
      const u = ((by - cy) * (px + 0.5 - cx) + (cx - bx) * (py + 0.5 - cy)) / area;
      const w = ((cy - ay) * (px + 0.5 - cx) + (ax - cx) * (py + 0.5 - cy)) / area;
      const q = 1 - u - w;
      if (u < -1e-6 || w < -1e-6 || q < -1e-6) continue;
      const z = u * (seen[3 * a + 2] as number) + w * (seen[3 * b + 2] as number) + q * (seen[3 * c + 2] as number);
      const at = py * widthPx + px;
      if (z <= (nearest[at] as number)) continue;
      nearest[at] = z;
      onPixel(at, u, w, q, z);
    }
  }
}
