import { useMemo } from 'react';
import { useFormContext } from 'react-hook-form';
import { plan } from '../../../core/index.ts';
import { measures } from '../../../core/measures/measures.ts';
import type { WidthAt } from '../../../core/tie/tie.ts';
import { formatLength } from '../../../core/units/length.ts';
import { Handle } from '../../../drawing/sheet/Handle.tsx';
import { FlatTie, widthScale } from '../../../drawing/tie/FlatTie.tsx';
import { HangingTie } from '../../../drawing/wardrobe/HangingTie.tsx';
import type { Entries } from '../form/entries.ts';
import { drawnRequest } from './drawnRequest.ts';
import { drawnTie } from './drawnTie.ts';
import type { PictureProps } from './pictureProps.ts';

/** The tie laid flat, its edge to be taken by the hand, and what it makes of two everyday knots. */
export function TiePicture({ entries, units }: PictureProps) {
  const { setValue } = useFormContext<Entries>();
  const tie = drawnTie(entries);
  const cloth = { fabric: tie.fabric, pattern: tie.pattern, colours: entries['colours'] as readonly string[] };
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
                setValue(
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
          onChange={(mm) => setValue('lengthMm', mm)}
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

const shownKnots = ['four-in-hand', 'half-Windsor', 'Windsor'];

/** How large it ties, and how much of it a knot takes, on a man of usual measures. */
function Makes({ tie, units }: { readonly tie: ReturnType<typeof drawnTie>; readonly units: PictureProps['units'] }) {
  const asked = JSON.stringify(tie);
  const { client } = drawnRequest(units);
  const knots = useMemo(() => {
    const { shirt, aim } = drawnRequest(units);
    const all = plan({ client: drawnRequest(units).client, shirt, aim, tie: JSON.parse(asked), units }).knots;
    return shownKnots.flatMap((name) => all.filter(({ names }) => names[0] === name));
  }, [asked, units]);
  return (
    <table className="min-w-72 grow self-start text-left">
      <caption className="pb-1 text-left text-note text-soft">
        On a man of {formatLength(client.heightMm, units)} with a collar of {formatLength(client.neckMm, units)}
      </caption>
      <thead className="text-note text-soft">
        <tr>
          <th className="font-normal">knot</th>
          <th className="text-right font-normal">wide at the top</th>
          <th className="text-right font-normal">takes up</th>
          <th className="text-right font-normal">narrow tip at</th>
        </tr>
      </thead>
      <tbody>
        {knots.map((knot) => (
          <tr key={knot.moves} className="border-t border-line">
            <th scope="row" className="py-1.5 font-medium">
              {knot.names[0]}
            </th>
            <td className="figures text-right text-xl text-follows">{formatLength(knot.shape.topMm, units)}</td>
            <td className="figures text-right text-xl text-follows">{formatLength(knot.takeUpMm, units)}</td>
            <td className={`figures text-right text-xl ${knot.feasible ? 'text-follows' : 'text-outside'}`}>
              {knot.feasible ? formatLength(knot.start.tailDropMm, units) : 'cannot'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
