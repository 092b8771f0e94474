import { enumerateKnots } from './enumerate.ts';
import { classic, type Knot, type LooseTurns, type Manner, twoFingersMm } from './knot.ts';

/** The families that a stylist tells apart, and how each is tied and finished. */
export const manners = {
  classic: {
    label: 'classic',
    says: 'Tied with the blade, tucked through the front band.',
    kinds: [classic],
  },
  open: {
    label: 'open front',
    says: 'No tuck: the blade comes up through the throat and drops over the knot as a plain panel.',
    kinds: [{ active: 'blade', finish: 'open' }],
  },
  narrow: {
    label: 'tail ties',
    says: 'The blade is set to its length first. The tail ties, its outer turns held loose, and what is left is hidden under the collar.',
    kinds: [
      { active: 'narrow', finish: 'tuck' },
      { active: 'narrow', finish: 'collar' },
    ],
  },
} as const satisfies Record<string, { readonly label: string; readonly says: string; readonly kinds: readonly Manner[] }>;

export type MannerCode = keyof typeof manners;
export const mannerCodes = Object.keys(manners) as MannerCode[];

/** Which of the families a knot belongs to. */
export function mannerOf({ active, finish }: Manner): MannerCode {
  return active === 'narrow' ? 'narrow' : finish === 'open' ? 'open' : 'classic';
}

/** With fewer moves than these there is no turn outside the others to be held open. */
const fewestForLoose = 6;
const movesOfTurn = 3;

/** The turn that is usually held loose when the tail ties: the last, of three moves. */
export function usuallyLoose(moves: number, { active }: Manner): LooseTurns | undefined {
  if (active === 'blade' || moves < fewestForLoose) return undefined;
  return { from: moves - movesOfTurn + 1, diameterMm: twoFingersMm };
}

/** Every knot of a family to `maxMoves`, its turns held as they usually are; fewest moves first. */
export function knotsInManner(code: MannerCode, maxMoves: number): Knot[] {
  const kinds: readonly Manner[] = manners[code].kinds;
  return kinds
    .flatMap((kind) => enumerateKnots(maxMoves, kind))
    .map((knot) => {
      const loose = usuallyLoose(knot.moves.length, knot);
      return loose ? { ...knot, loose } : knot;
    })
    .toSorted((a, b) => a.moves.length - b.moves.length);
}
