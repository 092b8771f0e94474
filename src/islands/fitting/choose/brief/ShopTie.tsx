import { useMemo } from 'react';
import { type Measure, measures } from '../../../../core/measures/measures.ts';
import { formatFigure, type LengthUnit, unitLabel } from '../../../../core/units/length.ts';
import { judgeTie } from '../../../../core/wardrobe/judgeTie.ts';
import { ColoursField } from '../../../ui/ColoursField.tsx';
import { Faults } from '../../../ui/faults.ts';
import { MeasureField } from '../../../ui/MeasureField.tsx';
import { VerdictMark } from '../../../ui/ReasonList.tsx';
import type { Dressed } from './clientsOutfits.ts';
import type { CheckedShopTie, ShopTieEntries } from './shopTieEntries.ts';

interface ShopTieProps {
  readonly checked: CheckedShopTie;
  readonly name: string;
  readonly dressed: readonly Dressed[];
  readonly units: LengthUnit;
}

const keys = ['lengthMm', 'bladeMm', 'thicknessMm', 'neckMm', 'tailMm'] as const;

/** The tie in the hand, judged against everything the client wears. */
export function ShopTie({ checked, name, dressed, units }: ShopTieProps) {
  return (
    <section aria-labelledby="shop-tie" className="grid gap-8 pt-6 lg:grid-cols-[19rem_minmax(0,1fr)] print:hidden">
      <div>
        <h2 id="shop-tie" className="text-2xl font-semibold">
          A tie in the hand
        </h2>
        <Faults value={checked.faults}>
          {keys.map((key) => {
            const measure: Measure = measures.tie[key];
            return (
              <MeasureField<ShopTieEntries>
                key={key}
                name={key}
                measure={measure}
                units={units}
                supposedMm={checked.tie?.[key]}
                sketch={{ of: 'tie', measure: key }}
              />
            );
          })}
          <ColoursField label="Colours" />
        </Faults>
      </div>
      {checked.tie ? (
        <Outfits checked={checked} name={name} dressed={dressed} units={units} />
      ) : (
        <p className="pt-10 text-soft">Its measures are not right yet.</p>
      )}
    </section>
  );
}

function Outfits({ checked: { tie, cloth }, name, dressed, units }: ShopTieProps) {
  const asked = JSON.stringify({ ...tie, ...cloth });
  const judged = useMemo(() => dressed.map((each) => ({ ...each, judgement: judgeTie(each.outfit, JSON.parse(asked)) })), [dressed, asked]);
  return (
    <table className="w-full self-start text-left">
      <caption className="pb-2 text-left text-2xl font-semibold">With all that {name} wears</caption>
      <thead className="border-b-2 border-ink text-note text-soft">
        <tr>
          <th className="font-normal">outfit</th>
          <th className="font-normal">knot</th>
          <th className="pr-4 text-right font-normal">narrow tip at, {unitLabel(units)}</th>
          <th className="font-normal">what is said</th>
        </tr>
      </thead>
      <tbody>
        {judged.map(({ key, title, pieces, judgement }) => (
          <tr key={key} className="border-b border-line align-top">
            <th scope="row" className="py-2 pr-3 font-medium">
              {title}
              <span className="block text-note font-normal text-soft">{pieces}</span>
            </th>
            <td className="py-2 pr-3">{judgement.feasible ? (judgement.best.names[0] ?? judgement.best.moves) : 'none'}</td>
            <td className={`figures py-2 pr-4 text-right text-xl ${judgement.feasible ? 'text-follows' : 'text-outside'}`}>
              {judgement.feasible ? formatFigure(judgement.best.start.tailDropMm, units) : 'cannot'}
            </td>
            <td className="py-2 text-note leading-snug">
              {judgement.reasons.map(({ code, verdict, text }) => (
                <span key={code} className="flex gap-1.5">
                  <VerdictMark verdict={verdict} />
                  {text}
                </span>
              ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
