import { useMemo } from 'react';
import { useFormContext } from 'react-hook-form';
import type { Wardrobe } from '../../contract/records.ts';
import { type Measure, measures } from '../../core/measures/measures.ts';
import { judgeTie } from '../../core/rack/judgeTie.ts';
import { formatFigure, type LengthUnit, unitLabel } from '../../core/units/length.ts';
import { type BenchValues, withJacket, withShirt } from '../bench/values.ts';
import { Faults } from '../controls/faults.ts';
import { MeasureField } from '../controls/MeasureField.tsx';
import { VerdictMark } from '../controls/ReasonList.tsx';
import { outfitOnBench } from '../rack/outfitOnBench.ts';
import type { CheckedShopTie, ShopTieEntries } from './shopTieEntries.ts';

interface ShopTieProps {
  readonly checked: CheckedShopTie;
  readonly wardrobe: Wardrobe;
  readonly values: BenchValues;
  readonly units: LengthUnit;
}

const keys = ['lengthMm', 'bladeMm', 'thicknessMm', 'neckMm', 'tailMm'] as const;

/** The tie in the hand, judged against everything the client wears. */
export function ShopTie({ checked, wardrobe, values, units }: ShopTieProps) {
  const { register } = useFormContext<ShopTieEntries>();
  return (
    <section aria-labelledby="shop-tie" className="grid gap-8 pt-6 lg:grid-cols-[17rem_minmax(0,1fr)] print:hidden">
      <div>
        <h2 id="shop-tie" className="text-2xl font-semibold">
          A tie in the hand
        </h2>
        <Faults value={checked.faults}>
          {keys.map((key) => {
            const measure: Measure = measures.tie[key];
            return <MeasureField<ShopTieEntries> key={key} name={key} measure={measure} units={units} supposedMm={checked.tie?.[key]} />;
          })}
        </Faults>
        <label className="flex items-center justify-between py-2">
          Main colour
          <input type="color" className="h-10 w-20 cursor-pointer border-2 border-set/40 bg-transparent" {...register('colour')} />
        </label>
      </div>
      {checked.tie ? (
        <Outfits checked={checked} wardrobe={wardrobe} values={values} units={units} />
      ) : (
        <p className="pt-10 text-soft">Its measures are not right yet.</p>
      )}
    </section>
  );
}

function Outfits({ checked, wardrobe, values, units }: ShopTieProps) {
  const judged = useJudged(checked, wardrobe, values, units);
  return (
    <table className="w-full self-start text-left">
      <caption className="pb-2 text-left text-2xl font-semibold">With all that {values.client.label} wears</caption>
      <thead className="border-b-2 border-ink text-note text-soft">
        <tr>
          <th className="font-normal">shirt, jacket</th>
          <th className="font-normal">knot</th>
          <th className="pr-4 text-right font-normal">narrow tip at, {unitLabel(units)}</th>
          <th className="font-normal">what is said</th>
        </tr>
      </thead>
      <tbody>
        {judged.map(({ key, shirt, jacket, judgement }) => (
          <tr key={key} className="border-b border-line align-top">
            <td className="py-2 pr-3">
              {shirt}
              <span className="block text-note text-soft">{jacket}</span>
            </td>
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

/** Each of the client's shirts with each of his jackets; the outfit on the bench where he has none of his own. */
function useJudged({ tie, colour }: CheckedShopTie, { shirts, jackets }: Wardrobe, values: BenchValues, units: LengthUnit) {
  const asked = JSON.stringify([tie, colour, values, units]);
  return useMemo(() => {
    const [looked, main, bench, unit] = JSON.parse(asked) as [typeof tie, string, BenchValues, LengthUnit];
    if (!looked) return [];
    const own = <T extends { readonly clientId: string | null }>(all: readonly T[]) =>
      all.filter(({ clientId }) => clientId === bench.client.id);
    const ownShirts = bench.client.id === null ? [] : own(shirts);
    const ownJackets = bench.client.id === null ? [] : own(jackets);
    const dressed = (ownShirts.length > 0 ? ownShirts.map((shirt) => withShirt(bench, shirt)) : [bench]).flatMap((inShirt) =>
      ownJackets.length > 0 ? ownJackets.map((jacket) => withJacket(inShirt, jacket)) : [inShirt],
    );
    return dressed.flatMap((each) => {
      const outfit = outfitOnBench(each, unit);
      if (!outfit) return [];
      return [
        {
          key: `${each.shirt.id} ${each.jacket?.id}`,
          shirt: each.shirt.label,
          jacket: each.jacket?.label ?? 'no jacket',
          judgement: judgeTie(outfit, { ...looked, colours: [main] }),
        },
      ];
    });
  }, [asked, shirts, jackets]);
}
