import type { FabricCode } from '../tie/fabrics.ts';

/** How a fabric wants to be kept. */
export interface FabricCare {
  readonly care: string;
  /** Whole days between two wearings: one at least, more for delicate cloth. */
  readonly restDays: number;
  /** Rolled up from the tail, hung, or laid flat. */
  readonly store: string;
  /** What it costs this cloth to be kept looped. */
  readonly looped: string;
}

/** The one table of care; the days of rest are a trade’s rule of thumb, not measurements. */
export const fabricCare: Readonly<Record<FabricCode, FabricCare>> = {
  'woven-silk': {
    care: 'Never press it with an iron.',
    restDays: 1,
    store: 'Hang it, or roll it up from the tail.',
    looped: 'the folds set, and the interlining with them',
  },
  'printed-silk': {
    care: 'Water marks it, so dab and never rub.',
    restDays: 2,
    store: 'Roll it up loosely from the tail.',
    looped: 'the print wears along the folds, and they show as pale lines',
  },
  satin: {
    care: 'Snags on rings and rough hands: draw it up slowly, and let creases hang out over steam.',
    restDays: 2,
    store: 'Keep it flat, or roll it up loosely from the tail.',
    looped: 'the folds stay as dull lines in the sheen',
  },
  grenadine: {
    care: 'The open weave catches: no tie pin through it.',
    restDays: 2,
    store: 'Roll it up from the tail; hung, it grows.',
    looped: 'the open weave is drawn out of square around the knot',
  },
  wool: {
    care: 'Brush it, and keep moths away.',
    restDays: 2,
    store: 'Hang it, or roll it up from the tail.',
    looped: 'the nap is pressed flat where it is folded',
  },
  cotton: {
    care: 'Creases stay until it is pressed under a cloth, so undo it at once after wear.',
    restDays: 1,
    store: 'Roll it up from the tail.',
    looped: 'the creases have to be pressed out, under a cloth',
  },
  linen: {
    care: 'Press it damp under a cloth; expect it to crease in wear.',
    restDays: 1,
    store: 'Hang it.',
    looped: 'the creases break its threads in time',
  },
  knit: {
    care: 'Undo it by reversing the moves, never by pulling.',
    restDays: 2,
    store: 'Lay it flat or roll it; never hang it: it grows.',
    looped: 'it grows at the knot and does not shrink back',
  },
  polyester: {
    care: 'Steam at a distance: it glazes and then shines under an iron.',
    restDays: 1,
    store: 'Hang it, or roll it up from the tail.',
    looped: 'the folds set for good once warmed by wear',
  },
};
