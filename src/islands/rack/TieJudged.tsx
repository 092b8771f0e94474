import type { TieRecord } from '../../contract/records.ts';
import { completeRequest, type PlanRequest } from '../../core/index.ts';
import type { Outfit, TieJudgement } from '../../core/rack/judgeTie.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import { CollarCloseUp } from '../../drawing/wearer/CollarCloseUp.tsx';
import { FrontFigure } from '../../drawing/wearer/FrontFigure.tsx';
import type { BenchValues } from '../bench/values.ts';
import { ReasonList } from '../controls/ReasonList.tsx';

interface TieJudgedProps {
  readonly values: BenchValues;
  readonly outfit: Outfit;
  readonly tie: TieRecord;
  readonly judgement: TieJudgement;
  readonly units: LengthUnit;
  readonly onTake: () => void;
}

/** One tie with the outfit: seen, and what speaks for and against it. */
export function TieJudged({ values, outfit, tie, judgement, units, onTake }: TieJudgedProps) {
  const request: PlanRequest = completeRequest({ ...outfit.question, tie });
  const drawn = {
    request,
    plan: judgement.best,
    view: 'facing',
    cloth: tie,
    shirtColour: values.cloth.shirt,
    jacketColour: values.cloth.jacket,
  } as const;
  const { best } = judgement;
  const wider = judgement.widerThanLapelMm;
  return (
    <section aria-label="The tie with the outfit" className="grid gap-6 pt-3 lg:grid-cols-[20rem_20rem_minmax(0,1fr)]">
      <FrontFigure {...drawn} id="rack-front" stage="tied" className="h-92 w-full" />
      <CollarCloseUp {...drawn} id="rack-near" className="h-92 w-full" />
      <div>
        <div className="flex items-start justify-between gap-4">
          <h2 className="text-3xl leading-tight font-semibold">{tie.label}</h2>
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
        {wider !== undefined && (
          <p className="text-note text-soft">
            {Math.abs(wider) < 1
              ? 'Blade and lapel are equally wide.'
              : `Blade ${Math.round(Math.abs(wider))} mm ${wider > 0 ? 'wider' : 'narrower'} than the lapel: ${Math.abs(wider) <= 6 ? 'a match by either school' : Math.abs(wider) <= 25.4 ? 'within an inch, but no match' : 'beyond an inch'}.`}
            {` ${Math.round(Math.abs(judgement.colours.contrast))} of 100 steps of lightness ${judgement.colours.contrast >= 0 ? 'darker' : 'lighter'} than the shirt, colour difference ${judgement.colours.difference.toFixed(0)}.`}
          </p>
        )}
      </div>
    </section>
  );
}
