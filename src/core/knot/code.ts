import { enumerateKnots } from './enumerate.ts';
import { formatKnot } from './format.ts';
import type { Knot } from './knot.ts';
import { namedWord } from './names.ts';

const codes = new Map<number, ReadonlyMap<string, string>>();

/**
 * A code for every classic knot, the same for ever: how many moves it has, and its place among
 * the words of so many moves in the order in which they are enumerated. `7.13` is the
 * thirteenth of seven moves.
 */
export function knotCode(knot: Knot): string {
  const moves = knot.moves.length;
  let ofLength = codes.get(moves);
  if (!ofLength) {
    const words = enumerateKnots(moves).filter((each) => each.moves.length === moves);
    ofLength = new Map(words.map((each, i) => [formatKnot(each), `${moves}.${i + 1}`]));
    codes.set(moves, ofLength);
  }
  return ofLength.get(formatKnot(knot)) ?? '';
}

/** The knot of a code; `undefined` where there is none. */
export function knotOfCode(code: string): Knot | undefined {
  const match = /^(\d{1,2})\.(\d{1,4})$/.exec(code);
  if (!match) return undefined;
  const moves = Number(match[1]);
  if (moves > mostMoves) return undefined;
  return enumerateKnots(moves).filter((each) => each.moves.length === moves)[Number(match[2]) - 1];
}

/** Longer words are knots still, and none that a tie is long enough for. */
const mostMoves = 14;

/** What Ropewalk calls a knot: its name, or `knot` and its code. */
export function knotTitle(knot: Knot): string {
  return namedWord(formatKnot(knot))?.names[0] ?? `knot ${knotCode(knot)}`;
}
