import { type ReactNode, useMemo } from 'react';
import type { Given } from '../../contract/given.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import { AtHandProvider } from '../atHand/AtHandProvider.tsx';
import { Sentence } from '../atHand/Sentence.tsx';
import { useAsked } from '../atHand/useAtHand.ts';
import { useTakeToFitting } from '../atHand/useTakeToFitting.ts';
import { type DrawnColours, drawnColours } from '../seen/dressed.ts';
import { ViewSwitch } from '../ui/Moves.tsx';
import { OwnTurn } from '../ui/OwnTurn.tsx';
import { useStudioNames } from '../wire/useKnotTitles.ts';
import { WithGiven } from '../wire/WithGiven.tsx';
import { type Laying, useKnots } from './useKnots.ts';

interface KnotsAtHandProps {
  readonly given: Given;
  /** Which knots; those asked for at the fitting where nothing is said. */
  readonly lay: Laying;
  readonly children: (knots: readonly MappedKnot[]) => ReactNode;
}

/** A view of the knots for whoever stands at hand, who can be exchanged in the sentence above it. */
export function KnotsAtHand({ given, lay, children }: KnotsAtHandProps) {
  return (
    <WithGiven given={given}>
      <AtHandProvider>
        <Mapped lay={lay}>{children}</Mapped>
      </AtHandProvider>
    </WithGiven>
  );
}

function Mapped({ lay, children }: Omit<KnotsAtHandProps, 'given'>) {
  const { question, frame, setView } = useAsked();
  const knots = useKnots(question, useStudioNames(), lay);
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-x-4 pb-2">
        <OwnTurn>
          <Sentence />
        </OwnTurn>
        <ViewSwitch frame={frame} onView={setView} />
      </div>
      {children(knots)}
    </>
  );
}

/** Takes a knot to the fitting. */
export function useInFitting(): (moves: string) => void {
  const take = useTakeToFitting();
  return (moves) =>
    take((now) => ({ ...now, knot: moves, question: { ...now.question, search: { ...now.question.search, also: [moves] } } }));
}

/** What everything worn at hand is drawn in. */
export function useColoursAtHand(): DrawnColours {
  const { request, values } = useAsked();
  return useMemo(() => drawnColours(request, values.colours), [request, values.colours]);
}
