import { memo, type ReactNode, useMemo } from 'react';
import type { WornColours } from '../../../../contract/fitting.ts';
import type { TieRecord } from '../../../../contract/records/records.ts';
import type { TieOnShirt } from '../../../../core/colour/compare.ts';
import { completeRequest, type KnotPlan } from '../../../../core/index.ts';
import { allowanceOf } from '../../../../core/plan/criteria/lapel.ts';
import { type StateCode, setIn } from '../../../../core/start/reading.ts';
import { formatLength, type LengthUnit, roughly } from '../../../../core/units/length.ts';
import { coloursNotEntered } from '../../../../core/wardrobe/colourCriterion.ts';
import { judgeTie, type Outfit, questionWith, type TieJudgement } from '../../../../core/wardrobe/judgeTie.ts';
import { type Judged, knotsInWords } from '../../../../core/wardrobe/knotsInWords.ts';
import { CollarCloseUp } from '../../../../drawing/wearer/CollarCloseUp.tsx';
import { FrontFigure } from '../../../../drawing/wearer/FrontFigure.tsx';
import { useAsked } from '../../../atHand/useAtHand.ts';
import { drawnColours } from '../../../seen/dressed.ts';
import { useKnotInCloth } from '../../../seen/useKnotPictures.ts';
import { Button } from '../../../ui/Button.tsx';
import { ReasonList } from '../../../ui/ReasonList.tsx';

interface TieJudgedProps {
  readonly outfit: Outfit;
  readonly worn: WornColours;
  readonly tie: TieRecord;
  readonly onUse: () => void;
}

/** One tie with the outfit: seen, and what speaks for and against it. */
export const TieJudged = memo(function TieJudged({ outfit, worn, tie, onUse }: TieJudgedProps) {
  const { state, units, values } = useAsked();
  const judgement = useMemo(() => judgeTie(outfit, tie), [outfit, tie]);
  const knots = useMemo(() => knotsInWords(outfit, tie), [outfit, tie]);
  const missing = coloursNotEntered(tie.colours, worn.shirt);
  return (
    <section
      aria-label="The tie with the outfit"
      className="grid gap-x-6 gap-y-4 contain-layout md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]"
    >
      <Pictures outfit={outfit} tie={tie} plan={judgement.best} worn={worn}>
        <div className="flex items-start justify-between gap-4">
          <h1 className="text-3xl leading-tight font-semibold">
            <a href={`/ties/${tie.id}`} className="hover:underline">
              {tie.label}
            </a>{' '}
            <span className="font-normal text-soft">on {values.client.label}</span>
          </h1>
          <Button className="shrink-0 text-lg" onClick={onUse}>
            Use in fitting
          </Button>
        </div>
        <p className={`text-xl ${judgement.feasible ? 'text-follows' : 'text-outside'}`}>
          {judgement.feasible ? bestInWords(judgement.best, state, units) : 'Won’t work with any of the knots.'}
        </p>
      </Pictures>
      <div className="md:col-start-2">
        <ReasonList reasons={judgement.reasons} />
        {missing && <p className="text-note text-soft">Colour isn’t judged: {missing}.</p>}
        <Schools judgement={judgement} units={units} />
        <p className="text-note text-soft">
          {formatLength(tie.lengthMm, units)} long, {formatLength(tie.bladeMm, units)} wide,{' '}
          {formatLength(tie.thicknessMm, units, 'thickness')} thick
        </p>
        {judgement.colours && <ColourFigures colours={judgement.colours} />}
        <WhichKnots judged={knots} />
      </div>
    </section>
  );
});

function bestInWords({ title, start }: KnotPlan, state: StateCode, units: LengthUnit): string {
  return `Best match: ${title}, ${start.set.end} tip at ${formatLength(roughly(setIn(start, state), units), units)}`;
}

interface PicturesProps {
  readonly outfit: Outfit;
  readonly tie: TieRecord;
  readonly plan: KnotPlan;
  readonly worn: WornColours;
  /** What is told above the collar. */
  readonly children: ReactNode;
}

/** Drawing is the dear part of a change, so it is done only for what changed. */
const Pictures = memo(function Pictures({ outfit, tie, plan, worn, children }: PicturesProps) {
  const { frame } = useAsked();
  const request = useMemo(() => completeRequest(questionWith(outfit, tie)), [outfit, tie]);
  const colours = useMemo(() => drawnColours(request, { ...worn, tie: tie.colours }), [request, worn, tie]);
  const picture = useKnotInCloth(plan.moves, colours.cloth);
  const drawn = { request, plan, view: frame.view, picture, ...colours };
  return (
    <>
      <FrontFigure {...drawn} id="worn-front" stage="tied" className="h-136 w-full overflow-visible md:row-span-2" />
      <div>
        {children}
        <CollarCloseUp {...drawn} id="worn-near" className="h-72 w-full pt-2" />
      </div>
    </>
  );
});

/** Blade and lapel under both rules. */
function Schools({ judgement: { widerThanLapelMm: wider }, units }: { readonly judgement: TieJudgement; readonly units: LengthUnit }) {
  if (wider === undefined) return null;
  const off = Math.abs(wider);
  const rules =
    off <= allowanceOf('match')
      ? 'passes both lapel rules'
      : off <= allowanceOf('within-inch')
        ? 'passes “within an inch”, not “matched”'
        : 'passes neither lapel rule';
  return (
    <p className="text-note text-soft">
      {off < 1
        ? `Blade and lapel are equally wide: ${rules}.`
        : `Blade ${formatLength(off, units)} ${wider > 0 ? 'wider' : 'narrower'} than the lapel: ${rules}.`}
    </p>
  );
}

/** The figures behind what was said of the colours, one step away. */
function ColourFigures({ colours: { contrast, difference } }: { readonly colours: TieOnShirt }) {
  return (
    <details className="text-note text-soft">
      <summary className="flex min-h-9 cursor-pointer items-center text-set">Colour figures</summary>
      Lightness {Math.round(Math.abs(contrast))} {contrast >= 0 ? 'darker' : 'lighter'} than the shirt, of 100; colour difference
      (CIEDE2000) {difference.toFixed(0)}, where 12 can just be told apart at arm’s length.
    </details>
  );
}

/** Which named knots work with it, and why the others don't. */
function WhichKnots({ judged }: { readonly judged: readonly Judged[] }) {
  return (
    <details className="pt-1">
      <summary className="flex min-h-9 cursor-pointer items-center text-set">Knot by knot</summary>
      <ul className="columns-1 gap-6 text-note xl:columns-2">
        {judged.map(({ name, works, text }) => (
          <li key={name} className="break-inside-avoid py-0.5">
            <span className={works ? 'font-medium text-follows' : 'font-medium text-outside'}>{name}</span> {text}
          </li>
        ))}
      </ul>
    </details>
  );
}
