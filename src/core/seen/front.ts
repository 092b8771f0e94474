import type { SeenCloth } from '../cloth/mesh/compact.ts';
import type { Part } from '../cloth/mesh/loosePath.ts';

/**
 * Which rows of the working strand are a knot's front: its band; where it has none, what falls over it; and where its end is led
 * away under the collar, its turns. `endY` is how high the end's middle lies over the button, mm.
 */
export function frontPart(parts: readonly Part[], endY: number): Part {
  if (parts.includes('band')) return 'band';
  return endY < 0 ? 'top' : 'turn';
}

export function frontOf({ active: { parts, rows, position }, columns }: SeenCloth): Part {
  return frontPart(parts, position[3 * ((rows - 1) * columns + Math.floor(columns / 2)) + 1] ?? 0);
}

/** The lowest part of the front is its foot. */
const footShare = 0.15;

/** From where to where across the front's foot reaches, mm: out of it comes the blade. A panel that falls over the knot runs on and has none. */
export function frontFoot(cloth: SeenCloth): readonly [fromMm: number, toMm: number] | undefined {
  const { active, columns } = cloth;
  const front = frontOf(cloth);
  if (front === 'top') return undefined;
  const { top, bottom } = frontEdges(cloth);
  const below = bottom + footShare * (top - bottom);
  let [from, to] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  active.parts.forEach((part, row) => {
    if (part !== front) return;
    for (let i = 3 * row * columns; i < 3 * (row + 1) * columns; i += 3) {
      const [x, y] = [active.position[i] ?? 0, active.position[i + 1] ?? 0];
      if (y > below) continue;
      from = Math.min(from, x);
      to = Math.max(to, x);
    }
  });
  return from < to ? [from, to] : undefined;
}

const middleHalfMm = 12;

/** Heights of the front's upper and lower edge in its middle over the middle of the winding, mm. */
export function frontEdges(cloth: SeenCloth): { readonly top: number; readonly bottom: number } {
  const { active, columns } = cloth;
  const front = frontOf(cloth);
  let [top, bottom] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
  active.parts.forEach((part, row) => {
    if (part !== front) return;
    for (let c = 0; c < columns; c++) {
      const at = 3 * (row * columns + c);
      if (Math.abs(active.position[at] ?? 0) >= middleHalfMm) continue;
      top = Math.max(top, active.position[at + 1] ?? 0);
      bottom = Math.min(bottom, active.position[at + 1] ?? 0);
    }
  });
  return top > bottom ? { top, bottom } : { top: 0, bottom: 0 };
}
