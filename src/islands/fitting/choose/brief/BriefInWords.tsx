import { greyOf } from '../../../../core/colour/compare.ts';
import { type Fineness, formatFigure, formatLength, type LengthUnit } from '../../../../core/units/length.ts';
import type { BuyingBrief, LengthRange } from '../../../../core/wardrobe/buyingBrief.ts';

interface BriefInWordsProps {
  readonly brief: BuyingBrief;
  readonly units: LengthUnit;
  readonly shirtColour: string;
}

/** The brief as it would be read out to a shop. */
export function BriefInWords({ brief, units, shirtColour }: BriefInWordsProps) {
  const { bladeMm, thicknessMm, lengthMm } = brief;
  if (!bladeMm || !thicknessMm || !lengthMm) {
    return (
      <p className="text-xl text-outside">
        No tie that is sold would serve this outfit by the rules chosen: none both goes with the lapel and fills the collar. Another collar
        or lapel, or the wider of the two lapel rules, would open it.
      </p>
    );
  }
  return (
    <section aria-label="The brief in words">
      <dl className="grid grid-cols-[7rem_1fr] items-baseline gap-y-2">
        <Line label="Blade" range={bladeMm} units={units} />
        <Line label="Thickness" range={thicknessMm} units={units} fineness="fine" />
        <Line label="Length" range={lengthMm} units={units} />
        <dt className="text-lg">Colour</dt>
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
      </dl>
      <p className="pt-3 text-note text-soft">
        Not every width goes with every thickness: the green in the picture does, the darker the more knots. A wider tie wants to be
        thinner. Lengths hold for the knot that suits; the longer the tie, the more moves it wants.
      </p>
      <h2 className="pt-3 text-lg font-medium">Good buys</h2>
      <table className="w-full text-left">
        <thead className="text-note text-soft">
          <tr>
            <th className="font-normal">blade</th>
            <th className="font-normal">thickness</th>
            <th className="font-normal">length</th>
            <th className="font-normal">as</th>
          </tr>
        </thead>
        <tbody>
          {goodBuys(brief).map(({ bladeMm: blade, thicknessMm: thickness, lengthMm: length, knots }) => (
            <tr key={`${blade} ${thickness}`} className="border-t border-line align-top">
              <td className="figures py-1 text-lg text-follows">{formatFigure(blade, units)}</td>
              <td className="figures py-1 text-lg text-follows">{formatFigure(thickness, units, 'fine')}</td>
              <td className="figures py-1 text-lg text-follows">
                {length && `${formatFigure(length.min, units)} to ${formatLength(length.max, units)}`}
              </td>
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
  readonly units: LengthUnit;
  readonly fineness?: Fineness;
}

function Line({ label, range, units, fineness }: LineProps) {
  return (
    <>
      <dt className="text-lg">{label}</dt>
      <dd className="figures text-3xl text-follows">
        {formatFigure(range.min, units, fineness)} to {formatLength(range.max, units, fineness)}
      </dd>
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
