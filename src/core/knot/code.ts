import { enumerateKnots } from './enumerate.ts';
import { formatKnot } from './format.ts';
import { classic, type Knot, type Manner, twoFingersMm } from './knot.ts';
import { namesOf } from './names.ts';

const letters: readonly { readonly letter: string; readonly manner: Manner }[] = [
  { letter: '', manner: classic },
  { letter: 'o', manner: { active: 'blade', finish: 'open' } },
  { letter: 'n', manner: { active: 'narrow', finish: 'tuck' } },
  { letter: 'h', manner: { active: 'narrow', finish: 'collar' } },
];

const codes = new Map<string, ReadonlyMap<string, string>>();

/**
 * A code for every knot, the same for ever: how many moves it has, and its place among the words
 * of so many moves in the order in which they are enumerated. `7.13` is the thirteenth classic
 * knot of seven moves. Before it a letter for what is not classic: `o` for an open front, `n` for
 * the narrow end tucked, `h` for the narrow end hidden under the collar. After it the move from
 * which on turns are held loose, and how wide where it is not two fingers: `n7.13-5`, `n7.13-5-30`.
 */
export function knotCode({ moves, active, finish, loose }: Knot): string {
  const of = letters.find(({ manner }) => manner.active === active && manner.finish === finish);
  const h = moves.length;
  const key = `${of?.letter}${h}`;
  let ofLength = codes.get(key);
  if (!ofLength) {
    const words = wordsOf(h, of?.manner ?? classic);
    ofLength = new Map(words.map((each, i) => [formatKnot(each), `${key}.${i + 1}`]));
    codes.set(key, ofLength);
  }
  const code = ofLength.get(formatKnot({ moves, active, finish })) ?? '';
  if (!loose) return code;
  return `${code}-${loose.from}${loose.diameterMm === twoFingersMm ? '' : `-${loose.diameterMm}`}`;
}

/** The knot of a code; `undefined` where there is none. */
export function knotOfCode(code: string): Knot | undefined {
  const match = /^([onh]?)(\d{1,2})\.(\d{1,4})(?:-(\d{1,2})(?:-(\d{2}))?)?$/.exec(code);
  if (!match) return undefined;
  const [, letter, length, place, from, diameter] = match;
  const manner = letters.find((each) => each.letter === letter)?.manner;
  const moves = Number(length);
  if (!manner || moves > mostMoves) return undefined;
  const knot = wordsOf(moves, manner)[Number(place) - 1];
  if (!knot || from === undefined) return knot;
  const loose = { from: Number(from), diameterMm: diameter ? Number(diameter) : twoFingersMm };
  return manner.active === 'narrow' && loose.from >= 1 && loose.from <= moves ? { ...knot, loose } : undefined;
}

function wordsOf(moves: number, manner: Manner): Knot[] {
  return enumerateKnots(moves, manner).filter((each) => each.moves.length === moves);
}

/** Longer words are knots still, and none that a tie is long enough for. */
const mostMoves = 14;

/** What Ropewalk calls a knot: its name, or `Knot` and its code. */
export function knotTitle(knot: Knot): string {
  return namesOf(knot)[0] ?? `Knot ${knotCode(knot)}`;
}
