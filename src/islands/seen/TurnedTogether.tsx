import type { DimpleLaid } from '../../core/cloth/forces/imposed.ts';
import type { PlanRequest } from '../../core/index.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import type { AtHand } from '../atHand/values.ts';
import { KnotCloseUp } from './KnotCloseUp.tsx';
import { useShownCloth } from './useShownCloth.ts';

interface TurnedTogetherProps {
  readonly knot: MappedKnot;
  readonly request: PlanRequest;
  readonly values: AtHand;
  readonly dimple: DimpleLaid;
  readonly turn: number;
  readonly onTurn: (degrees: number) => void;
}

/** One of several knots in cloth that are turned by one hand. */
export function TurnedTogether({ knot, request, values, dimple, turn, onTurn }: TurnedTogetherProps) {
  const { cloth, live, dressed } = useShownCloth(knot, request, values, dimple);
  if (!cloth)
    return (
      <p className="py-4 text-soft">{live.kind === 'refused' ? 'There is no picture of it.' : 'It is being tied for the first time …'}</p>
    );
  return (
    <>
      <KnotCloseUp {...dressed} cloth={cloth} title={knot.title} turn={turn} onTurn={onTurn} />
      <p className="text-note text-soft" role="status">
        {live.kind === 'tied'
          ? 'In this very tie.'
          : live.kind === 'tying'
            ? `Being tied in this tie: ${Math.round(100 * live.share)} %`
            : 'As in the usual cloth.'}
      </p>
    </>
  );
}
