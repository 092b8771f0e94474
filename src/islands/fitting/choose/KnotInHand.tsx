import { lazy, type ReactNode, Suspense } from 'react';
import type { Advice, Frame, KnotPlan } from '../../../core/index.ts';
import { dressing } from '../../../core/plan/habits.ts';
import { setIn } from '../../../core/start/reading.ts';
import { formatFigure, roughly, unitLabel } from '../../../core/units/length.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { TakeDrawing } from '../../seen/TakeDrawing.tsx';
import { Button } from '../../ui/Button.tsx';
import { Moves, MovesKey } from '../../ui/Moves.tsx';
import { ReasonList } from '../../ui/ReasonList.tsx';
import { useAlive } from '../../ui/useAlive.ts';
import { ColoursJudged } from './ColoursJudged.tsx';
import { WhyNot } from './WhyNot.tsx';

const Prescribed = lazy(() => import('./Prescribed.tsx').then(({ Prescribed: Line }) => ({ default: Line })));

interface KnotInHandProps {
  readonly knot: KnotPlan;
  readonly title: string;
  readonly advice: readonly Advice[];
  /** Among the names of the ranking, from 1. */
  readonly place: number;
  readonly frame: Frame;
  readonly onBest: () => void;
  /** Puts another beside it. */
  readonly onBeside: () => void;
  /** Its picture. */
  readonly children: ReactNode;
}

/** The knot that is chosen: its name and start, its picture, and what speaks for and against it. */
export function KnotInHand({ knot, title, advice, place, frame, onBest, onBeside, children }: KnotInHandProps) {
  const { values, state, units } = useAsked();
  const alive = useAlive();
  const { set } = knot.start;
  const isBest = place === 1;
  return (
    <>
      <div className="flex items-start justify-between gap-x-3">
        <div className="min-w-0">
          <a href={`/knots/${knot.code}`} className="text-2xl leading-tight font-semibold hover:underline" data-testid="chosen-knot">
            {title}
          </a>
          <p className="text-note text-soft">
            {isBest ? 'best match' : `${ordinal(place)} in the ranking`}, {knot.properties.moves} moves
            {knot.properties.selfReleasing ? ', pulls open' : ''}{' '}
            {!isBest && (
              <Button look="text" className="min-h-6" onClick={onBest}>
                Back to best match
              </Button>
            )}
          </p>
        </div>
        {knot.feasible ? (
          <p className="shrink-0 text-right leading-tight text-follows">
            <span className="figures-alone text-4xl" data-testid="start">
              {formatFigure(roughly(setIn(knot.start, state), units), units)} <span className="text-xl">{unitLabel(units)}</span>
            </span>
            <span className="block max-w-36 text-note text-soft">
              {set.end} tip below the collar button, {dressing.readsAt[state].label}
            </span>
          </p>
        ) : (
          <p className="text-xl text-outside">Won’t work</p>
        )}
      </div>
      {children}
      <p className="flex flex-wrap items-baseline gap-x-2 border-b border-line pb-0.5">
        <Moves of={knot.moves} frame={frame} className="text-lg" />
        <span className="text-note text-soft">
          <b className="text-set">You set</b> · <b className="text-follows">result</b> · <b className="text-outside">problem</b>
        </span>
        <Button look="text" className="min-h-8" onClick={onBeside}>
          Side by side
        </Button>
        <TakeDrawing within="Collar and knot" name={`${title} on the collar`} />
      </p>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls where there is little room, by the keyboard too. */}
      <section aria-label="For and against" tabIndex={0} className="min-h-24 overflow-y-auto lg:max-h-[13.5rem]">
        {alive && values.regulation && (
          <Suspense>
            <Prescribed />
          </Suspense>
        )}
        <WhyNot key={knot.moves} knot={knot} />
        <ReasonList reasons={knot.reasons} />
        <ColoursJudged />
        <ul className="text-note leading-snug text-soft">
          {advice.map(({ code, text }) => (
            <li key={code} className={code === 'no-knot-lands' ? 'text-outside' : ''}>
              {text}
            </li>
          ))}
        </ul>
        <MovesKey frame={frame} small />
      </section>
    </>
  );
}

const ordinalRules = new Intl.PluralRules('en', { type: 'ordinal' });
const ordinalEndings: Readonly<Record<string, string>> = { one: 'st', two: 'nd', few: 'rd', other: 'th' };

function ordinal(count: number): string {
  return `${count}${ordinalEndings[ordinalRules.select(count)] ?? 'th'}`;
}
