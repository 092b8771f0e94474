import type { DimpleLaid } from '../../core/cloth/forces/dimple.ts';
import { KnotCloseUp } from './KnotCloseUp.tsx';
import { isOver } from './useLiveCloth.ts';
import { type Shown, useShownCloth } from './useShownCloth.ts';

interface TurnedTogetherProps {
  readonly shown: Shown;
  readonly dimple: DimpleLaid;
  readonly turn: number;
  readonly onTurn: (degrees: number) => void;
}

/** One of several knots in cloth that are turned by one hand. */
export function TurnedTogether({ shown, dimple, turn, onTurn }: TurnedTogetherProps) {
  const { cloth, live, dressed } = useShownCloth(shown, dimple);
  if (!cloth) return <p className="py-4 text-soft">{isOver(live) ? 'No picture of this knot.' : 'Being tied for the first time…'}</p>;
  return (
    <>
      <KnotCloseUp {...dressed} cloth={cloth} title={shown.knot.title} turn={turn} onTurn={onTurn} />
      <p className="text-note text-soft" role="status">
        {live.kind === 'tied'
          ? 'In this tie.'
          : live.kind === 'tying'
            ? `Being tied in this tie: ${Math.round(100 * live.share)}%`
            : 'In a usual tie.'}
      </p>
    </>
  );
}
