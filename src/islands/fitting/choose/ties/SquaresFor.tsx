import { memo } from 'react';
import type { SquareRecord, TieRecord } from '../../../../contract/records/records.ts';
import { matchSquares, type SquareRule, squareRules, swapsFor } from '../../../../core/wardrobe/matchSquares.ts';
import { FoldedSquare } from '../../../../drawing/wardrobe/FoldedSquare.tsx';
import { usePreferences } from '../../../device/preferences.tsx';
import { Link } from '../../../ui/Button.tsx';
import { VerdictMark } from '../../../ui/ReasonList.tsx';
import { Switch } from '../../../ui/Switch.tsx';

interface SquaresForProps {
  readonly tie: TieRecord;
  readonly ties: readonly TieRecord[];
  readonly squares: readonly SquareRecord[];
}

const mostShown = 6;

/** Which pocket squares go with the tie, and which sets can be split up for it. */
export const SquaresFor = memo(function SquaresFor({ tie, ties, squares }: SquaresForProps) {
  const { preferences, prefer } = usePreferences();
  const rule = preferences.squareRule;
  const matched = matchSquares(tie, squares, rule);
  const swaps = swapsFor(tie, ties, squares, rule);
  return (
    <section aria-labelledby="squares" className="mt-4 border-t border-line pt-2">
      <div className="flex flex-wrap items-center justify-between gap-x-6">
        <h2 id="squares" className="text-2xl font-semibold">
          Pocket square
        </h2>
        <Switch
          label="The pocket square"
          value={rule}
          choices={(Object.keys(squareRules) as SquareRule[]).map((key) => ({ key, label: squareRules[key].label }))}
          onChange={(squareRule) => prefer({ squareRule })}
        />
      </div>
      {squares.length === 0 && (
        <p className="py-2 text-soft">
          No pocket squares yet. <Link href="/squares/new">Add a pocket square</Link>; plain white in a flat fold always works.
        </p>
      )}
      <ul className="grid gap-x-6 gap-y-2 pt-2 sm:grid-cols-2 lg:grid-cols-3">
        {matched.slice(0, mostShown).map(({ square, verdict, text }) => (
          <li key={square.id} className="flex gap-3">
            <FoldedSquare cloth={square} className="h-12 w-20 shrink-0" />
            <span>
              <a href={`/squares/${square.id}`} className="font-medium text-set hover:underline">
                {square.label}
              </a>
              <span className="flex gap-1 text-note text-soft">
                <VerdictMark verdict={verdict} />
                {text}
              </span>
            </span>
          </li>
        ))}
      </ul>
      {swaps.map(({ withSquare, otherTie, otherSquare }) => (
        <p key={`${withSquare.id} ${otherSquare.id}`} className="pt-2 text-follows">
          Split the sets: this tie with “{withSquare.label}”, and “{otherTie.label}” with “{otherSquare.label}”.
        </p>
      ))}
    </section>
  );
});
