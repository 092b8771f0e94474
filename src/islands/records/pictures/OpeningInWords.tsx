import { frontDropOf } from '../../../core/body/frontDrop.ts';
import type { PlanRequest } from '../../../core/index.ts';
import { buttoningPoint, frontEdge, openingAt, pointsMeetMm, pointsUnderFronts } from '../../../core/jacket/opening.ts';
import { formatLength } from '../../../core/units/length.ts';

interface OpeningInWordsProps {
  readonly request: Pick<PlanRequest, 'client' | 'shirt' | 'jacket' | 'units'>;
  /** The collar it is told for. */
  readonly over: string;
}

/** What a jacket leaves open, and whether the collar's points reach under it. */
export function OpeningInWords({ request: { client, shirt, jacket, units }, over }: OpeningInWordsProps) {
  if (!jacket) return null;
  const beltMm = frontDropOf(client).meanMm;
  const edge = frontEdge(jacket, client.neckMm, beltMm);
  const under = pointsUnderFronts(shirt, edge);
  const say = (mm: number) => formatLength(mm, units);
  const shows = buttoningPoint(jacket, beltMm);
  return (
    <div className="space-y-1">
      <p className={under >= -pointsMeetMm ? 'text-follows' : 'text-outside'}>
        {Math.abs(under) <= pointsMeetMm
          ? `The points of ${over} just meet the fronts.`
          : under > 0
            ? `The points of ${over} reach ${say(under)} under the fronts.`
            : `The points of ${over} end ${say(-under)} short of the fronts: they lie open on the shirt.`}
      </p>
      <p className="text-soft">
        {jacket.worn === 'closed'
          ? `Buttoned, it shows ${say(shows)} of the front, ${say(2 * openingAt(edge, shows / 2))} wide halfway down; the blade tip is hidden.`
          : 'Unbuttoned, the whole tie shows.'}
        {jacket.buttoningMm === null ? ' The buttoning point is estimated from the belt.' : ''}
      </p>
    </div>
  );
}
