import { type Frame, ownRight, regionInFrame } from './frame.ts';
import type { Knot, Manner, Region } from './knot.ts';
import { readWord } from './read.ts';
import { refuseIllegal, refuseManner } from './rules.ts';

/**
 * Reads a knot from shorthand (`Li Ro Li Co T`, `li-ro-li-co`, `L in, R out, …`), or as the
 * everyday manoeuvres in words, spoken in `frame`, and returns it in the canonical frame.
 * A word may begin with `N` (the narrow end ties), hold one run of moves loose in brackets, and end
 * with its finish: `T` for the tuck, which may be left out, `D` for an open front, `H` for an end
 * hidden under the collar, supposed where the narrow end ties and nothing is said.
 * Throws a {@link KnotWordError} that names the move and the rule it breaks.
 */
export function parseKnot(text: string, frame: Frame = ownRight): Knot {
  const spoken = readWord(text, frame);
  const moves = spoken.moves.map((move) => ({ ...move, region: regionInFrame(move.region, frame) }));
  const { active, finish, loose } = spoken;
  refuseIllegal(moves, spoken, frame);
  refuseManner(spoken);
  return { moves, active, finish, ...(loose && { loose }) };
}

/** What can be read in a text as moves at all, in the canonical frame, legal or not; and how they are tied and finished. */
export function regionsIn(
  text: string,
  frame: Frame = ownRight,
): { readonly regions: readonly Region[]; readonly manner: Manner } | undefined {
  try {
    const { moves, active, finish } = readWord(text, frame);
    // An end that cannot be finished so is finished as it can be: a narrow end under the collar, a blade tucked.
    const possible = (active === 'narrow' ? finish !== 'open' : finish !== 'collar') ? finish : active === 'narrow' ? 'collar' : 'tuck';
    return { regions: moves.map(({ region }) => regionInFrame(region, frame)), manner: { active, finish: possible } };
  } catch {
    return undefined;
  }
}
