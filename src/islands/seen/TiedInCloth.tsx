import { useState } from 'react';
import { type DimpleLaid, takesDimple } from '../../core/cloth/forces/dimple.ts';
import { type PlanRequest, parseKnot } from '../../core/index.ts';
import { type DimpleLiking, likings } from '../../core/plan/habits.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { formatLength } from '../../core/units/length.ts';
import { Button } from '../ui/Button.tsx';
import { Switch } from '../ui/Switch.tsx';
import { KnotCloseUp } from './KnotCloseUp.tsx';
import { TakeAway } from './TakeAway.tsx';
import { isOver, type LiveCloth } from './useLiveCloth.ts';
import { type Shown, useShownCloth } from './useShownCloth.ts';

interface TiedInClothProps {
  readonly shown: Shown;
  readonly units: LengthUnit;
  /** As the client wants it, until another is asked for here. */
  readonly dimple: DimpleLaid;
}

const dimples = [
  ...(Object.keys(likings.dimple) as DimpleLiking[]).map((key) => ({ key, label: likings.dimple[key].label })),
  { key: 'double', label: 'two' },
] as const satisfies readonly { readonly key: DimpleLaid; readonly label: string }[];

/** The knot as a real ribbon drawn up, on the client's collar: at once by a ready mesh, then in this very tie. */
export function TiedInCloth({ shown, units, dimple }: TiedInClothProps) {
  const { knot, request } = shown;
  const [turn, setTurn] = useState(0);
  const [laid, setLaid] = useState(dimple);
  const { cloth, isBefore, live, again, stop, dressed } = useShownCloth(shown, laid);
  return (
    <section aria-label="Tied in cloth">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 border-b-2 border-ink">
        <h2 className="font-medium">Tied in cloth</h2>
        {cloth && <TakeAway name={`${knot.title} in cloth`} cloth={cloth} paint={dressed.paint} blade={dressed.blade} turn={turn} />}
      </div>
      {cloth ? (
        <KnotCloseUp {...dressed} cloth={cloth} title={knot.title} turn={turn} onTurn={setTurn} />
      ) : (
        <p className="py-4 text-soft">{isOver(live) ? 'No picture of this knot.' : 'Being tied for the first time…'}</p>
      )}
      {takesDimple(parseKnot(knot.plan.moves)) && (
        <div className="flex flex-wrap items-center gap-x-3 pt-1">
          <span aria-hidden="true">Dimple</span>
          <Switch label="Dimple" value={laid} choices={dimples} onChange={setLaid} />
        </div>
      )}
      <div className="flex min-h-10 flex-wrap items-center gap-x-4 pt-1">
        <p className="text-note text-soft" role="status">
          {tellLive(live, request, units, isBefore ? 'the dimple before' : cloth ? 'a usual tie' : 'nothing')}
        </p>
        {live.kind === 'tying' && live.share > 0 && (
          <>
            <progress className="h-2 w-32 accent-set" value={live.share} max={1} aria-label="Tied" />
            <Button look="text" onClick={stop}>
              Stop
            </Button>
          </>
        )}
        {(live.kind === 'stopped' || live.kind === 'failed') && (
          <Button look="text" onClick={again}>
            Tie it in this tie
          </Button>
        )}
      </div>
    </section>
  );
}

type Meanwhile = 'the dimple before' | 'a usual tie' | 'nothing';

const forNow: Readonly<Record<Meanwhile, string>> = {
  'the dimple before': 'Shown with the dimple before, for now. ',
  'a usual tie': 'Shown in a usual tie, for now. ',
  nothing: '',
};

function tellLive(live: LiveCloth, { tie }: PlanRequest, units: LengthUnit, meanwhile: Meanwhile): string {
  const instead = meanwhile === 'nothing' ? '' : ', so the knot is shown in a usual tie';
  const here = `this tie, ${formatLength(tie.bladeMm, units)} wide and ${formatLength(tie.thicknessMm, units, 'thickness')} thick`;
  switch (live.kind) {
    case 'tied':
      return `Simulated in ${here}, in this shirt’s collar. Sizes are close, not exact. Drag to turn it, or use the arrow keys.`;
    case 'refused':
      return `In this tie the simulation didn’t come out clean${instead}.`;
    case 'failed':
      return `This browser couldn’t tie it in this tie${instead}.`;
    case 'stopped':
      return meanwhile === 'a usual tie' ? 'Shown in a usual tie, drawn to this one’s size.' : 'Stopped.';
    case 'tying':
      return `${forNow[meanwhile]}Tying ${here}: ${Math.round(100 * live.share)}%${live.attempt > 0 ? `, attempt ${live.attempt + 1}` : ''}`;
  }
}
