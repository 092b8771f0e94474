import { memo, useMemo } from 'react';
import type { TieRecord } from '../../../../contract/records/records.ts';
import { completeRequest, type PlanRequest } from '../../../../core/index.ts';
import { formatLength, type LengthUnit } from '../../../../core/units/length.ts';
import { judgeTie, type Outfit, type TieJudgement } from '../../../../core/wardrobe/judgeTie.ts';
import { type Judged, knotsInWords } from '../../../../core/wardrobe/knotsInWords.ts';
import { CollarCloseUp } from '../../../../drawing/wearer/CollarCloseUp.tsx';
import { FrontFigure } from '../../../../drawing/wearer/FrontFigure.tsx';
import { useKnotInCloth } from '../../../seen/useKnotPictures.ts';
import { ReasonList } from '../../../ui/ReasonList.tsx';

interface TieJudgedProps {
  /** The outfit, as JSON, so that it is drawn anew only when something of it changed. */
  readonly outfit: string;
  readonly shirtColour: string;
  readonly jacketColour: string | null;
  readonly tie: TieRecord;
  readonly units: LengthUnit;
  readonly onTake: () => void;
}

/** One tie with the outfit: seen, and what speaks for and against it. */
export const TieJudged = memo(function TieJudged({ outfit, shirtColour, jacketColour, tie, units, onTake }: TieJudgedProps) {
  const dressed = useMemo(() => JSON.parse(outfit) as Outfit, [outfit]);
  const judgement = useMemo(() => judgeTie(dressed, tie), [dressed, tie]);
  const knots = useMemo(() => knotsInWords(dressed, tie), [dressed, tie]);
  const { best } = judgement;
  return (
    <section aria-label="The tie with the outfit" className="grid gap-6 pt-3 contain-layout lg:grid-cols-[20rem_20rem_minmax(0,1fr)]">
      <Pictures outfit={dressed} tie={tie} judgement={judgement} shirtColour={shirtColour} jacketColour={jacketColour} />
      <div>
        <div className="flex items-start justify-between gap-4">
          <h2 className="text-3xl leading-tight font-semibold">
            <a href={`/ties/${tie.id}`} className="hover:underline">
              {tie.label}
            </a>
          </h2>
          <button
            type="button"
            className="min-h-10 shrink-0 cursor-pointer bg-set px-4 text-lg font-medium text-white hover:bg-ink"
            onClick={onTake}
          >
            Take it to the bench
          </button>
        </div>
        <p className="pt-1 text-lg text-soft">
          {formatLength(tie.lengthMm, units)} long, {formatLength(tie.bladeMm, units)} wide, {formatLength(tie.thicknessMm, units, 'fine')}{' '}
          thick
        </p>
        <p className={`pt-2 text-xl ${judgement.feasible ? 'text-follows' : 'text-outside'}`}>
          {judgement.feasible
            ? `Best as a ${best.names[0] ?? `${best.properties.moves}-move knot`}, the narrow tip at ${formatLength(best.start.tailDropMm, units)}`
            : 'No knot asked for can be worn with it'}
        </p>
        <ReasonList reasons={judgement.reasons} />
        <Figures judgement={judgement} />
        <WhichKnots judged={knots} />
      </div>
    </section>
  );
});

interface PicturesProps {
  readonly outfit: Outfit;
  readonly tie: TieRecord;
  readonly judgement: TieJudgement;
  readonly shirtColour: string;
  readonly jacketColour: string | null;
}

/** Drawing is the dear part of a change, so it is done only for what changed. */
const Pictures = memo(function Pictures({ outfit, tie, judgement, shirtColour, jacketColour }: PicturesProps) {
  const request: PlanRequest = completeRequest({ ...outfit.question, tie });
  const { fabric, pattern, colours } = tie;
  const cloth = { fabric, pattern, colours };
  const plan = judgement.best;
  const picture = useKnotInCloth(plan.moves, cloth);
  const drawn = { request, plan, view: 'facing', cloth, picture, shirtColour, jacketColour } as const;
  return (
    <>
      <FrontFigure {...drawn} id="rack-front" stage="tied" className="h-92 w-full" />
      <CollarCloseUp {...drawn} id="rack-near" className="h-92 w-full" />
    </>
  );
});

const inchMm = 25.4;
const matchMm = 6;

/** Blade and lapel under both schools, and the colours, in figures. */
function Figures({ judgement: { widerThanLapelMm: wider, colours } }: { readonly judgement: TieJudgement }) {
  const off = Math.abs(wider ?? 0);
  const schools =
    off <= matchMm
      ? 'a match by either school'
      : off <= inchMm
        ? 'within an inch by the one school, no match by the other'
        : 'beyond an inch, right by neither school';
  return (
    <p className="text-note text-soft">
      {wider !== undefined &&
        (off < 1
          ? 'Blade and lapel are equally wide: a match by either school. '
          : `Blade ${Math.round(off)} mm ${wider > 0 ? 'wider' : 'narrower'} than the lapel: ${schools}. `)}
      {Math.round(Math.abs(colours.contrast))} of 100 steps of lightness {colours.contrast >= 0 ? 'darker' : 'lighter'} than the shirt,
      colour difference {colours.difference.toFixed(0)}.
    </p>
  );
}

/** Which named knots can be worn with it and fill the collar, and what hinders the others. */
function WhichKnots({ judged }: { readonly judged: readonly Judged[] }) {
  return (
    <details className="pt-1">
      <summary className="min-h-9 cursor-pointer text-set">Knot by knot</summary>
      <ul className="columns-1 gap-6 text-note xl:columns-2">
        {judged.map(({ name, lands, text }) => (
          <li key={name} className="break-inside-avoid py-0.5">
            <span className={lands ? 'font-medium text-follows' : 'font-medium text-outside'}>{name}</span> {text}
          </li>
        ))}
      </ul>
    </details>
  );
}
