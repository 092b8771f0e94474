import { countWord } from '../../knot/difficulty.ts';
import { piecewise } from '../../numeric/piecewise.ts';
import { formatLength } from '../../units/length.ts';
import type { Criterion } from './criterion.ts';

const manyMoves = 8;

/** Fabric no thicker than this takes any number of moves, and a knot of no more than so many any fabric. */
const thinMm = 3.2;
const fewMoves = 4;
/** What each move beyond, in each millimetre of fabric beyond, takes from a knot. A prior: it keeps thicker fabric from asking for more moves. */
const costOfMoveMm = 0.15;
/** Less than this is felt only where knots are otherwise alike, and is not told. */
const toldBelow = 0.86;

/** The longest knots are ruled out more steeply: what is left of them, over the thickness of the fabric, mm. */
const leftOfLongest = piecewise([
  [3.3, 1],
  [3.8, 0.35],
]);

/** Is there too much fabric for so many moves? */
export const bulkCriterion: Criterion = {
  code: 'bulk',
  weight: 0,
  judge: ({ properties, request }) => {
    const { thicknessMm } = request.tie;
    const { moves } = properties;
    const beyond = Math.max(0, thicknessMm - thinMm) * Math.max(0, moves - fewMoves);
    const leaves = Math.max(0.2, 1 - costOfMoveMm * beyond) * (moves >= manyMoves ? leftOfLongest(thicknessMm) : 1);
    if (leaves === 1) return undefined;
    const text = `${countWord(moves)} moves in fabric ${formatLength(thicknessMm, request.units, 'thickness')} thick make a bulky knot.`;
    const isTold = leaves < toldBelow;
    return {
      score: 0,
      leaves,
      verdict: leaves < 0.6 ? 'poor' : isTold ? 'fair' : 'good',
      text: isTold ? text.charAt(0).toUpperCase() + text.slice(1) : '',
    };
  },
};
