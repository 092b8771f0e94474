import { formatKnot } from '../knot/format.ts';
import type { Knot } from '../knot/knot.ts';
import { mannerOf, usuallyLoose } from '../knot/manners.ts';
import { namedWord } from '../knot/names.ts';
import type { Search } from './request.ts';

/** Whether a search looks at a knot without being told to: of its family, its length, named where only those are asked for. */
export function isSearched({ manner, maxMoves, knots }: Search, knot: Knot): boolean {
  if (manner !== 'any' && manner !== mannerOf(knot)) return false;
  if (knot.moves.length > maxMoves) return false;
  if (knots === 'named') return namedWord(formatKnot(knot)) !== undefined;
  const usual = usuallyLoose(knot.moves.length, knot);
  return usual?.from === knot.loose?.from && usual?.diameterMm === knot.loose?.diameterMm;
}
