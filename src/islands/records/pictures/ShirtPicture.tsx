import { useMemo } from 'react';
import { classOf } from '../../../core/collar/collar.ts';
import { collarStyles } from '../../../core/collar/styles.ts';
import { type PlanRequest, plan } from '../../../core/index.ts';
import { measures } from '../../../core/measures/measures.ts';
import type { PatternCode } from '../../../core/tie/patterns.ts';
import { formatLength, type LengthUnit } from '../../../core/units/length.ts';
import { usualColours, usualTie, usualWearer } from '../../../core/usual.ts';
import { CollarSheet } from '../../../drawing/collar/CollarSheet.tsx';
import { collarLeaves } from '../../../drawing/collar/leaves.ts';
import { SpreadHandle } from '../../../drawing/collar/SpreadHandle.tsx';
import { Handle } from '../../../drawing/sheet/Handle.tsx';
import { useRecord } from '../form/useRecord.ts';
import { drawnRequest, lengthsOf } from './drawnRequest.ts';

const { neckMm } = usualWearer;

/** The collar as it changes under the ruler, and the knots that would fill it. */
export function ShirtPicture() {
  const { entries, units, store } = useRecord();
  const asked = useMemo(
    () => ({ ...drawnRequest(units).shirt, ...lengthsOf(entries, ['collarPointMm', 'collarSpreadMm', 'tieSpaceMm', 'collarAllowanceMm']) }),
    [entries, units],
  );
  // A spread that two points cannot reach is drawn as far as they do, until it is put right.
  const collarSpreadMm = Math.max(asked.tieSpaceMm + 2, Math.min(asked.collarSpreadMm, 2 * asked.collarPointMm));
  const style = collarStyles[entries['collarStyle'] as keyof typeof collarStyles];
  const collar = useMemo(() => ({ ...asked, collarSpreadMm, pointsHeld: style.pointsHeld }), [asked, collarSpreadMm, style]);
  const { standMm } = lengthsOf(entries, ['standMm']);
  const colours = [
    typeof entries['colour'] === 'string' ? entries['colour'] : usualColours.shirt,
    ...(typeof entries['secondColour'] === 'string' ? [entries['secondColour']] : []),
  ];
  const [, tip] = collarLeaves(collar, neckMm).tips;
  const change = (key: 'collarSpreadMm' | 'collarPointMm') => (mm: number) => store.set(key, mm);
  return (
    <>
      <CollarSheet
        id="collar"
        collar={{ ...collar, standMm: standMm ?? null }}
        neckMm={neckMm}
        units={units}
        colours={colours}
        pattern={entries['pattern'] as PatternCode}
        className="max-h-[26rem] w-full"
      >
        <SpreadHandle collar={collar} neckMm={neckMm} units={units} onChange={change('collarSpreadMm')} />
        <Handle
          x={-tip[0]}
          y={tip[1]}
          axis="y"
          label="Point length"
          valueMm={collar.collarPointMm}
          valueText={formatLength(collar.collarPointMm, units)}
          minMm={Math.max(measures.shirt.collarPointMm.minMm, Math.ceil(collarSpreadMm / 2))}
          maxMm={measures.shirt.collarPointMm.maxMm}
          onChange={change('collarPointMm')}
        />
      </CollarSheet>
      <p className="text-lg">
        Opens like a {classOf(collar).label} collar{style.pointsHeld ? ', with its points held down: the tie band stays covered' : ''}.
      </p>
      <Fillers shirt={collar} units={units} />
    </>
  );
}

const ties = [
  { name: 'a slim, thin tie', ...usualTie, bladeMm: 60, thicknessMm: 2.2 },
  { name: 'a usual tie', ...usualTie },
  { name: 'a wide, thick tie', ...usualTie, bladeMm: 90, thicknessMm: 3.6 },
] as const;

/** Which everyday knot suits the collar with three usual ties. */
function Fillers({ shirt, units }: { readonly shirt: PlanRequest['shirt']; readonly units: LengthUnit }) {
  const rows = useMemo(() => {
    const { client, aim } = drawnRequest(units);
    return ties.map(({ name, ...tie }) => {
      const { knots } = plan({ client, shirt, tie, aim, units });
      return { name, knot: knots[0] };
    });
  }, [shirt, units]);
  return (
    <table className="mt-2 w-full text-left">
      <caption className="sr-only">Knots that suit this collar</caption>
      <tbody>
        {rows.map(({ name, knot }) => (
          <tr key={name} className="border-t border-line">
            <th scope="row" className="py-1 pr-3 font-normal text-soft">
              with {name}
            </th>
            <td className="pr-3 font-medium text-follows">{knot?.feasible ? knot.title : 'won’t work'}</td>
            <td className="figures text-right text-lg text-follows">{Math.round((knot?.collar.fill ?? 0) * 100)}% of the edge</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
