import type { FabricCode } from './fabrics.ts';

/** How each fabric wants to be kept. */
export const fabricCare: Readonly<Record<FabricCode, string>> = {
  'woven-silk': 'Hang it or roll it from the tail; a day’s rest between wearings. Never press it with an iron.',
  'printed-silk': 'Roll it loosely; water marks it, so dab and never rub.',
  satin: 'Snags on rings and rough hands: draw it up slowly, keep it flat, and let creases hang out over steam.',
  grenadine: 'The open weave catches: no tie pin through it, and roll it rather than hang it.',
  wool: 'Brush it, let it rest two days, and keep moths away.',
  cotton: 'Creases stay until it is pressed under a cloth, so undo it at once after wear.',
  linen: 'Press it damp under a cloth; expect it to crease in wear.',
  knit: 'Lay or roll it, never hang it: it grows. Undo it by reversing the moves, never by pulling.',
  polyester: 'Steam at a distance: it glazes and then shines under an iron.',
};
