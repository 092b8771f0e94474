import { useMemo } from 'react';
import type { ColouredCloth } from '../../../../core/colour/cloth.ts';
import type { Tie } from '../../../../core/index.ts';
import { type Measure, measures } from '../../../../core/measures/measures.ts';
import { dressing } from '../../../../core/plan/habits.ts';
import { setIn } from '../../../../core/start/reading.ts';
import { fabricCodes, fabrics } from '../../../../core/tie/fabrics.ts';
import { patternCodes, patterns } from '../../../../core/tie/patterns.ts';
import { formatLength, type LengthUnit, roughly } from '../../../../core/units/length.ts';
import { judgeTie } from '../../../../core/wardrobe/judgeTie.ts';
import { DressCodeField } from '../../../atHand/DressCodeField.tsx';
import { useAtHand } from '../../../atHand/useAtHand.ts';
import { Link } from '../../../ui/Button.tsx';
import { ColoursField } from '../../../ui/ColoursField.tsx';
import { EntriesOf } from '../../../ui/EntriesOf.tsx';
import { MeasureField } from '../../../ui/MeasureField.tsx';
import { VerdictMark } from '../../../ui/ReasonList.tsx';
import { SelectField } from '../../../ui/SelectField.tsx';
import type { Dressed } from './clientsOutfits.ts';
import type { useShopTie } from './useShopTie.ts';

interface ShopTieProps {
  readonly shopTie: ReturnType<typeof useShopTie>;
  readonly name: string;
  /** Whose it would be; `null` for the studio's. */
  readonly clientId: string | null;
  readonly dressed: readonly Dressed[];
  readonly units: LengthUnit;
}

const keys = ['lengthMm', 'bladeMm', 'thicknessMm', 'neckMm', 'tailMm'] as const;

/** The tie in the hand, judged against everything the client wears. */
export function ShopTie({ shopTie, name, clientId, dressed, units }: ShopTieProps) {
  const { store, tie, cloth, faults } = shopTie;
  return (
    <section aria-labelledby="shop-tie" className="grid gap-8 pt-6 lg:grid-cols-[19rem_minmax(0,1fr)] print:hidden">
      <div>
        <h2 id="shop-tie" className="text-2xl font-semibold">
          A tie in the shop
        </h2>
        <EntriesOf store={store} faults={faults}>
          {keys.map((key) => {
            const measure: Measure = measures.tie[key];
            return (
              <MeasureField
                key={key}
                name={key}
                measure={measure}
                units={units}
                estimatedMm={tie?.[key]}
                sketch={{ of: 'tie', measure: key }}
              />
            );
          })}
          <SelectField name="fabric" label="Fabric" choices={fabricCodes.map((code) => [code, fabrics[code].label])} />
          <SelectField name="pattern" label="Pattern" choices={patternCodes.map((code) => [code, patterns[code].label])} />
          <MeasureField name="motifMm" measure={measures.motif.motifMm} units={units} />
          <ColoursField label="Colours" />
        </EntriesOf>
        {!dressed.some(({ isForOccasion }) => isForOccasion) && <DressCodeField />}
        {tie && (
          <Link look="other" className="mt-3" href={boughtAddress(tie, cloth, clientId)}>
            Bought: add it to the wardrobe
          </Link>
        )}
      </div>
      {tie ? (
        <Outfits tie={tie} cloth={cloth} name={name} dressed={dressed} units={units} />
      ) : (
        <p className="pt-10 text-soft">A measure of this tie is missing or out of range.</p>
      )}
    </section>
  );
}

/** A new tie's own form, with what was measured of it in the shop. */
function boughtAddress(tie: Tie, { colours }: ColouredCloth, clientId: string | null): string {
  const { fabric, pattern, lengthMm, bladeMm, thicknessMm, neckMm, tailMm, motifMm } = tie;
  const known = new URLSearchParams({ fabric, pattern, colours: colours.join(' '), ...(clientId && { clientId }) });
  const lengths = { lengthMm, bladeMm, thicknessMm, neckMm, tailMm, ...(typeof motifMm === 'number' && { motifMm }) };
  for (const [key, mm] of Object.entries(lengths)) known.set(key, String(mm));
  return `/ties/new?${known}`;
}

type OutfitsProps = Omit<ShopTieProps, 'shopTie' | 'clientId'> & {
  readonly tie: NonNullable<ShopTieProps['shopTie']['tie']>;
  readonly cloth: ShopTieProps['shopTie']['cloth'];
};

function Outfits({ tie, cloth, name, dressed, units }: OutfitsProps) {
  const { state } = useAtHand();
  const judged = useMemo(
    () => dressed.map((each) => ({ ...each, judgement: judgeTie(each.outfit, { ...tie, ...cloth }) })),
    [dressed, tie, cloth],
  );
  return (
    <table className="w-full self-start text-left">
      <caption className="pb-2 text-left text-2xl font-semibold">With each of {name}’s outfits</caption>
      <thead className="border-b-2 border-ink text-note text-soft">
        <tr>
          <th className="font-normal">Outfit</th>
          <th className="font-normal">Best match</th>
          <th className="pr-4 text-right font-normal">Set</th>
          <th className="font-normal">Why</th>
        </tr>
      </thead>
      <tbody>
        {judged.map(({ key, title, pieces, judgement: { feasible, best, reasons } }) => (
          <tr key={key} className="border-b border-line align-top">
            <th scope="row" className="py-2 pr-3 font-medium">
              {title}
              <span className="block text-note font-normal text-soft">{pieces}</span>
            </th>
            <td className="py-2 pr-3">{feasible ? best.title : 'won’t work'}</td>
            <td className={`py-2 pr-4 text-right ${feasible ? 'text-follows' : 'text-outside'}`}>
              {feasible && (
                <>
                  <span className="figures text-xl whitespace-nowrap">{formatLength(roughly(setIn(best.start, state), units), units)}</span>
                  <span className="block text-note">
                    {best.start.set.end} tip, {dressing.readsAt[state].label}
                  </span>
                </>
              )}
            </td>
            <td className="py-2 text-note leading-snug">
              {reasons.map(({ code, verdict, text }) => (
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
