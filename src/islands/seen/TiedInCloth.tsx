import { useState } from 'react';
import { type DimpleLaid, takesDimple } from '../../core/cloth/forces/imposed.ts';
import { type PlanRequest, parseKnot } from '../../core/index.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import { type DimpleLiking, finishing } from '../../core/plan/habits.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { formatLength } from '../../core/units/length.ts';
import type { AtHand } from '../atHand/values.ts';
import { Switch } from '../ui/Switch.tsx';
import { KnotCloseUp } from './KnotCloseUp.tsx';
import { TakeAway } from './TakeAway.tsx';
import type { LiveCloth } from './useLiveCloth.ts';
import { useShownCloth } from './useShownCloth.ts';

interface TiedInClothProps {
  readonly knot: MappedKnot;
  readonly request: PlanRequest;
  readonly values: AtHand;
  readonly units: LengthUnit;
  /** As the client wants it, until another is asked for here. */
  readonly dimple: DimpleLaid;
}

const dimples = [
  ...(Object.keys(finishing.dimple) as DimpleLiking[]).map((key) => ({ key, label: finishing.dimple[key].label })),
  { key: 'double', label: 'two' },
] as const satisfies readonly { readonly key: DimpleLaid; readonly label: string }[];

/** The knot as a real ribbon drawn up, on the client's collar: at once by a ready mesh, then in this very tie. */
export function TiedInCloth({ knot, request, values, units, dimple }: TiedInClothProps) {
  const [turn, setTurn] = useState(0);
  const [laid, setLaid] = useState(dimple);
  const { cloth, isBefore, live, again, stop, dressed } = useShownCloth(knot, request, values, laid);
  return (
    <section aria-label="Tied in cloth">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 border-b-2 border-ink">
        <h2 className="font-medium">Tied in cloth</h2>
        {cloth && <TakeAway knot={knot} cloth={cloth} paint={dressed.paint} blade={dressed.blade} turn={turn} />}
      </div>
      {cloth ? (
        <KnotCloseUp {...dressed} cloth={cloth} title={knot.title} turn={turn} onTurn={setTurn} />
      ) : (
        <p className="py-4 text-soft">{live.kind === 'refused' ? 'There is no picture of it.' : 'It is being tied for the first time …'}</p>
      )}
      {takesDimple(parseKnot(knot.plan.moves)) && (
        <div className="flex flex-wrap items-center gap-x-3 pt-1">
          <span aria-hidden="true">Dimple</span>
          <Switch label="Dimple" value={laid} choices={dimples} onChange={setLaid} />
        </div>
      )}
      <div className="flex min-h-10 flex-wrap items-center gap-x-4 pt-1">
        <p className="text-note text-soft" role="status">
          {tellLive(live, request, units, isBefore ? 'this tie before' : cloth ? 'the usual cloth' : 'nothing')}
        </p>
        {live.kind === 'tying' && live.share > 0 && (
          <>
            <progress className="h-2 w-32 accent-set" value={live.share} max={1} aria-label="Tied" />
            <button type="button" className="min-h-9 cursor-pointer text-set underline" onClick={stop}>
              Stop
            </button>
          </>
        )}
        {live.kind === 'stopped' && (
          <button type="button" className="min-h-9 cursor-pointer text-set underline" onClick={again}>
            Tie this very tie
          </button>
        )}
      </div>
    </section>
  );
}

type Meanwhile = 'this tie before' | 'the usual cloth' | 'nothing';

const forNow: Readonly<Record<Meanwhile, string>> = {
  'this tie before': 'With the dimple as before for now. ',
  'the usual cloth': 'As in a tie of the usual cloth for now. ',
  nothing: '',
};

function tellLive(live: LiveCloth, { tie }: PlanRequest, units: LengthUnit, shown: Meanwhile): string {
  const here = `this tie, ${formatLength(tie.bladeMm, units)} wide and ${formatLength(tie.thicknessMm, units, 'fine')} thick`;
  switch (live.kind) {
    case 'tied':
      return `Simulated in ${here}. Sizes are about right, not to the millimetre. Drag it, or turn it by the arrow keys.`;
    case 'refused':
      return 'Tied in this tie it did not come out clean, so it is shown as in a tie of the usual cloth.';
    case 'stopped':
      return shown === 'the usual cloth' ? 'As in a tie of the usual cloth, drawn to this one’s size.' : 'Stopped.';
    case 'tying':
      return `${forNow[shown]}Tying ${here}: ${Math.round(100 * live.share)} %${live.attempt > 0 ? `, attempt ${live.attempt + 1}` : ''}`;
  }
}
