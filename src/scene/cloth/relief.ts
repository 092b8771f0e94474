import type { FabricCode } from '../../core/tie/fabrics.ts';

/** Height of a cloth's surface at a place of it, 0 to 1: across and along the strip, mm. */
export type Relief = (acrossMm: number, alongMm: number) => number;

const wave = (value: number, repeat: number) => 0.5 + 0.5 * Math.sin((2 * Math.PI * value) / repeat);

/** A number from 0 to 1 that looks like chance and is the same for the same place. */
function speckle(x: number, y: number): number {
  const n = Math.sin(Math.floor(x) * 127.1 + Math.floor(y) * 311.7) * 43_758.5453;
  return n - Math.floor(n);
}

const flat: Relief = () => 1;
/** Threads along and across, some thicker than others. */
const plainWeave =
  (threadMm: number, slub: number): Relief =>
  (across, along) =>
    0.6 + 0.2 * wave(across + along, threadMm) + slub * (speckle(across / threadMm, along / (6 * threadMm)) - 0.5);

/** How each fabric stands up from its ground: what the light catches beside its colours. */
export const reliefs: Readonly<Record<FabricCode, Relief>> = {
  'woven-silk': (across, along) => 0.75 + 0.25 * wave(across - along, 1.1),
  'printed-silk': (across, along) => 0.85 + 0.15 * wave(across + along, 1.6),
  satin: flat,
  polyester: (across, along) => 0.9 + 0.1 * wave(across - along, 1.4),
  // An open gauze: thick crossings with holes between.
  grenadine: (across, along) => {
    const shift = Math.floor(along / 1.5) % 2 === 0 ? 0 : 0.85;
    return 0.15 + 0.85 * wave(across + shift, 1.7) * wave(along, 1.5);
  },
  wool: plainWeave(1.3, 0.45),
  cotton: plainWeave(1, 0.25),
  linen: plainWeave(1.2, 0.6),
  // Columns of stitches, each a pair of slanting legs.
  knit: (across, along) => {
    const column = across / 3.2;
    const off = Math.abs(column - Math.floor(column) - 0.5) * 2;
    return 0.1 + 0.9 * (1 - off ** 3) * (0.35 + 0.65 * wave(along - off * 1.6, 2.4));
  },
};
