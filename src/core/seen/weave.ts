import type { PatternCode } from '../tie/patterns.ts';

/** How much of the second colour shows at a place of the cloth, 0 or 1: across and along the strip, mm. */
export type Weave = (acrossMm: number, alongMm: number) => 0 | 1;

/** A place within a repeat, from 0. */
const within = (value: number, repeat: number) => value - repeat * Math.floor(value / repeat);

/** The stored patterns as they run along the strip. A tie is cut on the bias, so its stripes and repeats stand at 45°. */
export const weaves: Readonly<Record<PatternCode, Weave>> = {
  solid: () => 0,
  stripe: (across, along) => (within((across + along) / Math.SQRT2, 21) < 4.5 ? 1 : 0),
  dots: (across, along) => {
    const x = within((across + along) / Math.SQRT2, 8) - 4;
    const y = within((along - across) / Math.SQRT2, 8) - 4;
    return x * x + y * y < 1.2 ? 1 : 0;
  },
  check: (across, along) => {
    const x = within((across + along) / Math.SQRT2, 15);
    const y = within((along - across) / Math.SQRT2, 15);
    return x < 1.6 || y < 1.6 ? 1 : 0;
  },
  large: (across, along) => {
    const x = within(across, 34) - 17;
    const y = within(along, 34) - 17;
    const lobe = (x * x) / 64 + (y * y) / 169;
    return (lobe < 1 && lobe > 0.55) || x * x + y * y < 7 ? 1 : 0;
  },
};
