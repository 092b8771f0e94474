import { useQuery } from '@tanstack/react-query';
import type { Square } from '../../../core/wardrobe/matchSquares.ts';
import { judgeSquare } from '../../../core/wardrobe/matchSquares.ts';
import { FoldedSquare } from '../../../drawing/wardrobe/FoldedSquare.tsx';
import { VerdictMark } from '../../ui/ReasonList.tsx';
import { Swatch } from '../../ui/Swatch.tsx';
import { listQuery } from '../../wire/queries.ts';
import { useRecord } from '../form/useRecord.ts';

const mostTies = 8;

/** The square in its fold, and the ties of the studio it goes with. */
export function SquarePicture() {
  const { entries } = useRecord();
  const ties = useQuery(listQuery('ties', { clientId: null }));
  const square = entries as unknown as Square;
  const judged = (ties.data?.rows ?? [])
    .map((tie) => ({ tie, judgement: judgeSquare(tie, square) }))
    .toSorted((a, b) => b.judgement.score - a.judgement.score)
    .slice(0, mostTies);
  return (
    <>
      <FoldedSquare cloth={square} className="h-64 w-full" />
      <h2 className="pt-4 text-lg font-medium">With the studio’s ties</h2>
      <ul>
        {judged.map(({ tie, judgement }) => (
          <li key={tie.id} className="flex items-start gap-2 border-t border-line py-1.5">
            <VerdictMark verdict={judgement.verdict} />
            <Swatch colours={tie.colours} />
            <span>
              {tie.label}
              <span className="block text-note text-soft">{judgement.text}</span>
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
