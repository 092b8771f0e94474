import { useMemo } from 'react';
import { plan } from '../../../core/index.ts';
import { measures } from '../../../core/measures/measures.ts';
import type { WidthAt } from '../../../core/tie/tie.ts';
import { formatLength, type LengthUnit, roughly } from '../../../core/units/length.ts';
import { Handle } from '../../../drawing/sheet/Handle.tsx';
import { FlatTie, widthScale } from '../../../drawing/tie/FlatTie.tsx';
import { HangingTie } from '../../../drawing/wardrobe/HangingTie.tsx';
import { lookOf } from '../../seen/dressed.ts';
import { useRecord } from '../form/useRecord.ts';
import { drawnRequest } from './drawnRequest.ts';
import { drawnTie } from './drawnTie.ts';

/** The tie laid flat, its edge to be taken by the hand, and what it makes of three everyday knots. */
export function TiePicture() {
  const { entries, units, store } = useRecord();
  const tie = useMemo(() => drawnTie(entries), [entries]);
  const cloth = lookOf(tie, entries['colours'] as readonly string[]);
  const profile = entries['profile'] as readonly WidthAt[];
  return (
    <>
      <FlatTie id="flat" tie={tie} cloth={cloth} units={units} className="w-full">
        {profile.map(({ atMm, widthMm }, i) =>
          typeof atMm === 'number' && typeof widthMm === 'number' ? (
            <Handle
              // biome-ignore lint/suspicious/noArrayIndexKey: the place in the list is the name of its field.
              key={i}
              x={atMm}
              y={(-widthMm * widthScale) / 2}
              axis="y"
              gain={-2 / widthScale}
              label={`Width ${formatLength(atMm, units)} from the tip`}
              valueMm={widthMm}
              valueText={formatLength(widthMm, units)}
              minMm={measures.tie.neckMm.minMm}
              maxMm={tie.bladeMm}
              onChange={(mm) =>
                store.set(
                  'profile',
                  profile.map((point, at) => (at === i ? { ...point, widthMm: mm } : point)),
                )
              }
            />
          ) : null,
        )}
        <Handle
          x={tie.lengthMm}
          y={0}
          axis="x"
          label="Length of the tie"
          valueMm={tie.lengthMm}
          valueText={formatLength(tie.lengthMm, units)}
          minMm={Math.max(measures.tie.lengthMm.minMm, tie.neckAtMm + tie.tailMm + 1)}
          maxMm={measures.tie.lengthMm.maxMm}
          onChange={(mm) => store.set('lengthMm', mm)}
        />
      </FlatTie>
      <div className="flex flex-wrap gap-6 pt-3">
        <div className="h-72 w-36">
          <HangingTie id="hanging" tie={tie} cloth={cloth} />
        </div>
        <Makes tie={tie} units={units} />
      </div>
    </>
  );
}

const shownKnots = ['Four-in-hand', 'Half-Windsor', 'Windsor'];

/** How large it ties, and how much of it a knot takes, on a wearer of usual measures. */
function Makes({ tie, units }: { readonly tie: ReturnType<typeof drawnTie>; readonly units: LengthUnit }) {
  const { client } = drawnRequest(units);
  const knots = useMemo(() => {
    const { shirt, aim } = drawnRequest(units);
    const all = plan({ client: drawnRequest(units).client, shirt, aim, tie, units }).knots;
    return shownKnots.flatMap((name) => all.filter(({ title }) => title === name));
  }, [tie, units]);
  return (
    <table className="min-w-72 grow self-start text-left">
      <caption className="pb-1 text-left text-note text-soft">
        On a wearer of {formatLength(client.heightMm, units, 'stature')} with a collar of {formatLength(client.neckMm, units)}
      </caption>
      <thead className="text-note text-soft">
        <tr>
          <th className="font-normal">Knot</th>
          <th className="text-right font-normal">Top width</th>
          <th className="text-right font-normal">Takes up</th>
          <th className="text-right font-normal">Tail tip at</th>
        </tr>
      </thead>
      <tbody>
        {knots.map((knot) => (
          <tr key={knot.moves} className="border-t border-line">
            <th scope="row" className="py-1.5 font-medium">
              {knot.title}
            </th>
            <td className="figures text-right text-xl text-follows">{formatLength(knot.shape.topMm, units)}</td>
            <td className="figures text-right text-xl text-follows">{formatLength(knot.takeUpMm, units)}</td>
            <td className={`figures text-right text-xl ${knot.feasible ? 'text-follows' : 'text-outside'}`}>
              {knot.feasible ? formatLength(roughly(knot.start.set.dropMm, units), units) : 'won’t work'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
