import { type Frame, formatKnot, type KnotPlan, type PlanRequest, parseKnot } from '../../../core/index.ts';
import { endToSet } from '../../../core/plan/setting.ts';
import type { FabricLook } from '../../../core/tie/fabricLook.ts';
import { formatLength, type LengthUnit } from '../../../core/units/length.ts';
import { type View, viewLabels } from '../../../drawing/geometry/view.ts';
import { Walk } from '../../../drawing/walk/Walk.tsx';
import { FrontFigure } from '../../../drawing/wearer/FrontFigure.tsx';
import type { AtHand } from '../../atHand/values.ts';
import { useKnotTitle } from '../../wire/useKnotTitles.ts';
import { beside } from './StartReadout.tsx';

interface PrintedCardProps {
  readonly values: AtHand;
  readonly drawn: {
    readonly request: PlanRequest;
    readonly plan: KnotPlan;
    readonly view: View;
    readonly cloth: FabricLook;
    readonly shirtColour: string;
    readonly jacketColour: string | null;
  };
  readonly frame: Frame;
  readonly units: LengthUnit;
  readonly studio: string;
}

/** A card to take home: the start, the word, the picture. Seen on paper only. */
export function PrintedCard({ values, drawn, frame, units, studio }: PrintedCardProps) {
  const { plan, request } = drawn;
  const say = (mm: number) => formatLength(mm, units);
  const toSet = endToSet(plan.start);
  const [nearest] = plan.start.landmarks;
  return (
    <section className="hidden print:block" aria-hidden="true">
      <div className="grid grid-cols-[62mm_1fr] gap-[10mm]">
        <FrontFigure {...drawn} id="card-front" stage="hung" className="h-[120mm] w-full" />
        <div>
          <p className="text-soft">
            {studio} · {values.client.label} · {values.tie.label}
          </p>
          <h1 className="pt-2 text-3xl font-semibold">{useKnotTitle()(plan)}</h1>
          <p className="figures pt-1 text-2xl">{formatKnot(parseKnot(plan.moves), frame)}</p>
          <p className="text-soft">
            Left and right as seen {viewLabels[frame.view].name}; the {plan.properties.active === 'narrow' ? 'narrow end' : 'blade'} starts
            on his {frame.blade}, seam {plan.properties.startSeam}.
          </p>
          <p className="pt-5 text-xl">Hang the {toSet.name}</p>
          <p className="figures text-6xl text-follows">{say(toSet.dropMm)}</p>
          <p>below the collar button{nearest ? `: ${beside(nearest, units)}` : ''}.</p>
          <p>
            The blade’s tip then hangs {say(Math.abs(plan.start.differenceMm))} {plan.start.differenceMm >= 0 ? 'lower' : 'higher'} than the
            narrow one.
          </p>
          <p className="pt-3">
            Tied, the tip ends {say(plan.tip.dropMm)} below the collar button, give or take {say(plan.tip.sdMm)}.{' '}
            {toSet.name === 'narrow tip' && 'Too low: start lower by a little less than the error; too high: start higher.'}
          </p>
          <p className="pt-3 text-note text-soft">
            Nothing around the neck so tight that a finger will not pass. Tie off near machinery and at play; undo by reversing the moves.
            House safety rules go first.
          </p>
        </div>
      </div>
      <Walk id="card-walk" request={request} plan={plan} cloth={drawn.cloth} aspect={0.2} className="mt-[6mm] w-full" />
    </section>
  );
}
