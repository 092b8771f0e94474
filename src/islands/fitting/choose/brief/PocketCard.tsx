import { useMemo } from 'react';
import { dressing } from '../../../../core/plan/habits.ts';
import { setIn } from '../../../../core/start/reading.ts';
import { formatLength, type LengthUnit, roughly } from '../../../../core/units/length.ts';
import type { BuyingBrief } from '../../../../core/wardrobe/buyingBrief.ts';
import type { Outfit } from '../../../../core/wardrobe/judgeTie.ts';
import { rangeInWords } from '../../../../core/wardrobe/rangeInWords.ts';
import { type TieToAskFor, threeTies } from '../../../../core/wardrobe/threeTies.ts';
import { useAtHand } from '../../../atHand/useAtHand.ts';

interface PocketCardProps {
  readonly brief: BuyingBrief;
  readonly outfit: Outfit;
  readonly units: LengthUnit;
  readonly name: string;
  readonly studio: string;
  /** What it is for: shirt and jacket. */
  readonly pieces: string;
}

const kinds: Readonly<Record<TieToAskFor['kind'], string>> = {
  best: 'First choice',
  slimmer: 'Slimmer',
  broader: 'Broader',
};

/** A card for the pocket, to be cut out: three ties to ask for, in figures that a shop can measure. */
export function PocketCard({ brief, outfit, units, name, studio, pieces }: PocketCardProps) {
  const { state } = useAtHand();
  const ties = useMemo(() => threeTies(outfit, brief), [outfit, brief]);
  if (ties.length === 0) return null;
  return (
    <section
      aria-labelledby="pocket-card"
      className="mt-6 max-w-[26rem] border-2 border-dashed border-ink/50 p-4 print:mt-0 print:w-[99mm]"
    >
      <h2 id="pocket-card" className="text-xl leading-tight font-semibold">
        Ties to ask for
      </h2>
      <p className="text-note text-soft">
        {name}: {pieces}
      </p>
      <ol>
        {ties.map(({ kind, tie, lengthMm, best }) => (
          <li key={kind} className="border-t border-line py-1.5">
            <p className="flex items-baseline justify-between gap-2">
              <span className="text-note text-soft">{kinds[kind]}</span>
              <span className="text-note">
                {best.title}, {best.start.set.end} tip at {formatLength(roughly(setIn(best.start, state), units), units)},{' '}
                {dressing.readsAt[state].label}
              </span>
            </p>
            <p className="figures text-xl leading-tight text-follows">
              {formatLength(tie.bladeMm, units)} wide, {formatLength(tie.thicknessMm, units, 'thickness')} thick
            </p>
            <p className="text-note">Length {rangeInWords(lengthMm, brief.searched.lengthMm, units)}</p>
          </li>
        ))}
      </ol>
      <p className="border-t border-line pt-1.5 text-note">
        {colourInWords(brief)} Pinch it folded at mid-blade for the thickness: what stands between two fingers is both layers.
      </p>
      <p className="pt-1 text-note text-soft">{studio}</p>
    </section>
  );
}

function colourInWords({ darkestOfLight, lightestOfDark }: BuyingBrief): string {
  if (darkestOfLight !== undefined && lightestOfDark !== undefined)
    return 'Clearly darker than the shirt is dressy, clearly lighter casual.';
  if (darkestOfLight !== undefined) return 'Clearly darker than the shirt.';
  return lightestOfDark !== undefined ? 'Clearly lighter than the shirt.' : 'Bring the shirt: its colour isn’t entered.';
}
