import { useState } from 'react';
import { difficultyWord } from '../../../../core/knot/difficulty.ts';
import { useAsked } from '../../../atHand/useAtHand.ts';
import { TurnedTogether } from '../../../seen/TurnedTogether.tsx';
import { dimpleOf, type Shown } from '../../../seen/useShownCloth.ts';
import type { DrawnFitting } from '../../FittingDrawn.tsx';

/** Both knots in cloth, turned by one hand. */
export function TurnedPair({ here, there }: { readonly here: DrawnFitting; readonly there: DrawnFitting }) {
  const { client } = useAsked();
  const [turn, setTurn] = useState(0);
  const shown = ({ plan, request, colours }: DrawnFitting): Shown => ({
    knot: { code: plan.code, title: plan.title, plan, difficulty: difficultyWord(plan.properties) },
    request,
    colours,
  });
  return (
    <div className="grid grid-cols-2 gap-x-5 pt-2">
      {[here, there].map((drawn, i) => (
        <div key={i === 0 ? 'here' : 'there'}>
          <TurnedTogether shown={shown(drawn)} dimple={dimpleOf(client)} turn={turn} onTurn={setTurn} />
        </div>
      ))}
    </div>
  );
}
