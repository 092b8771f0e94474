import { type Frame, type KnotPlan, type PlanRequest, parseKnot } from '../../../core/index.ts';
import { tyingInWords } from '../../../core/knot/steps.ts';
import { dressing } from '../../../core/plan/habits.ts';
import { type StateCode, setIn } from '../../../core/start/reading.ts';
import { waysToTell } from '../../../core/start/ways.ts';
import { formatLength, roughly } from '../../../core/units/length.ts';
import { sayFrame } from '../../../drawing/geometry/view.ts';
import { Walk } from '../../../drawing/walk/Walk.tsx';
import { FrontFigure } from '../../../drawing/wearer/FrontFigure.tsx';
import type { AtHand } from '../../atHand/values.ts';
import type { DrawnColours } from '../../seen/dressed.ts';
import { Moves } from '../../ui/Moves.tsx';
import { startSeam, tipSpan } from './setInWords.ts';
import { startInWords } from './startInWords.ts';

interface PrintedCardProps {
  readonly values: AtHand;
  readonly title: string;
  readonly plan: KnotPlan;
  readonly request: PlanRequest;
  readonly colours: DrawnColours;
  readonly frame: Frame;
  /** How the tie lies while its start is read. */
  readonly state: StateCode;
  readonly studio: string;
}

/** Told without colour: paper may have none. */
const marks = { good: '+', fair: '·', poor: '−' } as const;

/** A card to take home: the start, the moves, the picture, and why this knot. */
export function PrintedCard({ values, title, plan, request, colours, frame, state, studio }: PrintedCardProps) {
  const { units } = request;
  const say = (mm: number) => formatLength(mm, units);
  const { start, tip } = plan;
  const told = waysToTell({ plan, request, state });
  return (
    <section className="paper-usual hidden print:block" aria-hidden="true">
      <div className="grid grid-cols-[76mm_1fr] gap-[10mm]">
        <FrontFigure
          id="card-front"
          stage="hung"
          state={state}
          plan={plan}
          request={request}
          view={frame.view}
          {...colours}
          className="h-[110mm] w-full"
        />
        <div>
          <p className="text-soft">
            {studio} · {values.client.label} · {values.tie.label}
          </p>
          <h1 className="pt-2 text-3xl font-semibold">{title}</h1>
          <p className="pt-1 text-2xl">
            <Moves of={plan.moves} frame={frame} />
          </p>
          <p className="text-soft">
            Left and right: {sayFrame(frame)}. {startSeam(plan.properties)}
          </p>
          <p className="pt-4 text-xl">
            {dressing.readsAt[state].label[0]?.toUpperCase()}
            {dressing.readsAt[state].label.slice(1)}: set the {start.set.end} tip at
          </p>
          <p className="figures text-6xl text-follows">{say(roughly(setIn(start, state), units))}</p>
          <p>below the collar button. Or:</p>
          <ul className="list-disc pl-5">
            {told
              .filter(({ way }) => way !== 'below')
              .map((each) => (
                <li key={`${each.way} ${each.landmark?.name}`}>{startInWords(each, units)}</li>
              ))}
          </ul>
          <p className="pt-2">
            The blade tip should end {tipSpan(tip, units)} below the collar button (2 times in 3).{' '}
            {start.set.end === 'tail' && 'Too low: start lower, by a little less than the error. Too high: start higher.'}
          </p>
          <ul className="columns-2 gap-[6mm] pt-2 text-note">
            {plan.reasons.map(({ code, verdict, text }) => (
              <li key={code} className="break-inside-avoid">
                {marks[verdict]} {text}
              </li>
            ))}
          </ul>
          <p className="pt-2 text-note font-medium">
            Never tighter than one finger’s room. Near machinery, on a bicycle or at play: no tie, or a breakaway tie. Undo a tie by
            reversing the moves. The workplace’s own safety rules come first.
          </p>
        </div>
      </div>
      <ol className="mt-[4mm] list-decimal columns-2 pl-6 text-note">
        {tyingInWords(parseKnot(plan.moves), frame).map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the steps are told by their order.
          <li key={i}>{step}</li>
        ))}
      </ol>
      <Walk id="card-walk" request={request} plan={plan} cloth={colours.cloth} aspect={0.2} className="mt-[4mm] w-full" />
    </section>
  );
}
