import { greyOf } from '../../../../core/colour/compare.ts';
import { type Fineness, formatFigure, type LengthUnit, unitLabel } from '../../../../core/units/length.ts';
import type { BuyingBrief, LengthRange } from '../../../../core/wardrobe/buyingBrief.ts';
import { rangeInWords } from '../../../../core/wardrobe/rangeInWords.ts';

interface BriefInWordsProps {
  readonly brief: BuyingBrief;
  readonly units: LengthUnit;
  /** `null` where it was never entered. */
  readonly shirtColour: string | null;
}

/** The brief as it would be read out to a shop. */
export function BriefInWords({ brief, units, shirtColour }: BriefInWordsProps) {
  const { bladeMm, thicknessMm, lengthMm, searched } = brief;
  if (!bladeMm || !thicknessMm || !lengthMm) {
    return (
      <p className="text-xl text-outside">
        No tie in the shops serves this outfit under the rules chosen: none both suits the lapel and fills the collar. Try another collar or
        lapel, or the “within an inch” lapel rule.
      </p>
    );
  }
  return (
    <section aria-label="The brief in words">
      <dl className="grid grid-cols-[7rem_1fr] items-baseline gap-y-2">
        <Line label="Blade" range={bladeMm} searched={searched.bladeMm} units={units} />
        <Line label="Thickness" range={thicknessMm} searched={searched.thicknessMm} units={units} fineness="thickness" />
        <Line label="Length" range={lengthMm} searched={searched.lengthMm} units={units} />
        <dt className="text-lg">Colour</dt>
        {shirtColour === null ? (
          <dd className="text-soft">The shirt’s colour isn’t entered.</dd>
        ) : (
          <dd className="flex items-center gap-3 text-lg">
            <span aria-hidden className="size-8 border border-ink/40" style={{ background: shirtColour }} />
            {brief.darkestOfLight !== undefined && (
              <>
                <span>dressy: darker than</span>
                <span aria-hidden className="size-8 border border-ink/40" style={{ background: greyOf(brief.darkestOfLight) }} />
              </>
            )}
            {brief.lightestOfDark !== undefined && (
              <>
                <span>casual: lighter than</span>
                <span aria-hidden className="size-8 border border-ink/40" style={{ background: greyOf(brief.lightestOfDark) }} />
              </>
            )}
          </dd>
        )}
      </dl>
      <p className="pt-3 text-note text-soft">
        Not every width goes with every thickness: the green in the picture does, darker where more knots work. A wider tie should be
        thinner; a longer tie needs a knot of more moves.
      </p>
      <h2 className="pt-3 text-lg font-medium">Good buys</h2>
      <table className="w-full text-left">
        <thead className="text-note text-soft">
          <tr>
            <th className="font-normal">Blade, {unitLabel(units)}</th>
            <th className="font-normal">Thickness, mm</th>
            <th className="font-normal">Length</th>
            <th className="font-normal">Knots</th>
          </tr>
        </thead>
        <tbody>
          {goodBuys(brief).map(({ bladeMm: blade, thicknessMm: thickness, lengthMm: length, knots }) => (
            <tr key={`${blade} ${thickness}`} className="border-t border-line align-top">
              <td className="figures py-1 text-lg text-follows">{formatFigure(blade, units)}</td>
              <td className="figures py-1 text-lg text-follows">{formatFigure(thickness, units, 'thickness')}</td>
              <td className="figures py-1 text-lg text-follows">{length && rangeInWords(length, searched.lengthMm, units)}</td>
              <td className="py-1.5 text-note">{knots.slice(0, 3).join(', ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

interface LineProps {
  readonly label: string;
  readonly range: LengthRange;
  /** How far it was searched. */
  readonly searched: LengthRange;
  readonly units: LengthUnit;
  readonly fineness?: Fineness;
}

function Line({ label, range, searched, units, fineness }: LineProps) {
  return (
    <>
      <dt className="text-lg">{label}</dt>
      <dd className="figures text-3xl text-follows">{rangeInWords(range, searched, units, fineness)}</dd>
    </>
  );
}

const mostBuys = 4;

/** As most ties are, mm. */
const usualThicknessMm = 2.8;

/** The tie nearest to the usual thickness at each of a few widths, spread over the window. */
function goodBuys({ cells, blades }: BuyingBrief) {
  const best = blades.flatMap((bladeMm) => {
    const [first] = cells
      .filter((cell) => cell.bladeMm === bladeMm && cell.lengthMm)
      .toSorted((a, b) => Math.abs(a.thicknessMm - usualThicknessMm) - Math.abs(b.thicknessMm - usualThicknessMm));
    return first ? [first] : [];
  });
  const every = Math.max(1, Math.ceil(best.length / mostBuys));
  return best.filter((_, i) => i % every === Math.floor(every / 2) || best.length <= mostBuys);
}
