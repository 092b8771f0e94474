import { countWord } from '../../knot/difficulty.ts';
import { piecewise } from '../../numeric/piecewise.ts';
import { formatLength } from '../../units/length.ts';
import type { Criterion } from './criterion.ts';

const manyMoves = 8;

/** A thick tie wants fewer moves: what is left of a knot of many, over the thickness of the fabric, mm. */
const left = piecewise([
  [3.3, 1],
  [3.8, 0.35],
]);

/** Is there too much fabric for so many moves? Asked of the longest knots only. */
export const bulkCriterion: Criterion = {
  code: 'bulk',
  weight: 0,
  judge: ({ properties, request }) => {
    const { thicknessMm } = request.tie;
    const leaves = left(thicknessMm);
    if (properties.moves < manyMoves || leaves === 1) return undefined;
    const text = `${countWord(properties.moves)} moves in fabric ${formatLength(thicknessMm, request.units, 'thickness')} thick make a bulky knot.`;
    return { score: 0, leaves, verdict: leaves < 0.6 ? 'poor' : 'fair', text: text.charAt(0).toUpperCase() + text.slice(1) };
  },
};
