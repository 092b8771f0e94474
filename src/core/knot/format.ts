import { type Frame, ownRight, regionInFrame } from './frame.ts';
import { type Finish, type Knot, twoFingersMm } from './knot.ts';

/** What a canonical word looks like. That it is also a knot is for the parser to say. */
export const wordPattern = /^(N )?(\(?[LCR][io](\)\d*)? )+[TDH]$/;

/** How each finish is written at the end of a word. */
export const finishLetters: Readonly<Record<Finish, string>> = { tuck: 'T', open: 'D', collar: 'H' };

/**
 * Writes a knot in shorthand, spoken in `frame`: `Li Ro Li Co T`. `N` before the moves says that
 * the narrow end ties them; moves in brackets are held loose, with the diameter in mm after them
 * where it is not two fingers; the last letter is the finish.
 */
export function formatKnot(knot: Knot, frame: Frame = ownRight): string {
  const { loose } = knot;
  const moves = knot.moves.map((move, i) => {
    const opens = loose?.from === i + 1 ? '(' : '';
    const closes = loose && i === knot.moves.length - 1 ? `)${loose.diameterMm === twoFingersMm ? '' : loose.diameterMm}` : '';
    return `${opens}${regionInFrame(move.region, frame)}${move.direction}${closes}`;
  });
  return [...(knot.active === 'narrow' ? ['N'] : []), ...moves, finishLetters[knot.finish]].join(' ');
}
