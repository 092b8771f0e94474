import { type ReactNode, useState } from 'react';
import { frontDropOf } from '../../../core/body/frontDrop.ts';
import type { KnotPlan, PlanRequest } from '../../../core/index.ts';
import { chanceInWords } from '../../../core/plan/chance.ts';
import type { DressingHabits } from '../../../core/plan/habits.ts';
import { toleranceAround } from '../../../core/plan/landing.ts';
import { type Attempt, rememberedNoiseMm } from '../../../core/start/attempts.ts';
import type { StateCode } from '../../../core/start/reading.ts';
import { tuckOf } from '../../../core/start/tuck.ts';
import { type ToldStart, type WayCode, waysToTell } from '../../../core/start/ways.ts';
import { formatFigure, formatLength, type LengthUnit, roughly, unitLabel } from '../../../core/units/length.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Radio } from '../../ui/Radio.tsx';
import { startSeam, tipSpan } from './setInWords.ts';
import { startInWords } from './startInWords.ts';
import { WhatMisses } from './WhatMisses.tsx';

interface StartReadoutProps {
  /** As it is read on the neck it is tied on. */
  readonly plan: KnotPlan;
  readonly request: PlanRequest;
  readonly state: StateCode;
  readonly attempts: readonly Attempt[];
  /** What else is known of it. */
  readonly children: ReactNode;
}

/** Where the tie is set before the first move: one way of telling it large enough to read from where the client stands, the others beneath. */
export function StartReadout({ plan, request, state, attempts, children }: StartReadoutProps) {
  const { studio, request: asked } = useAsked();
  const [way, setWay] = useState<string>();
  // What is right is right of the client, on whose neck it is read or not.
  const tolerance = toleranceAround(plan.tip, frontDropOf(asked.client), asked.aim);
  const { units } = request;
  const told = waysToTell({ plan, request, state, tolerance });
  const large = told.find((each) => keyOf(each) === way) ?? usual(told, studio.person?.tells ?? 'below', plan.start.set.end);
  if (!large) return null;
  return (
    <section aria-label="Start" aria-live="polite">
      <Large told={large} units={units} />
      <p className="leading-snug text-soft">
        {startSeam(plan.properties)} Blade tip should end {tipSpan({ dropMm: plan.tip.dropMm, sdMm: large.tipSdMm }, units)} below the
        collar button (2 times in 3).
        {attempts.length > 0 && ` Starts from ${learntOf(attempts)}.`}
      </p>
      <Tucked plan={plan} request={request} school={studio.person?.tucks ?? 'buttons'} />
      <WhatMisses plan={plan} request={request} again={attempts.length > 0} />
      {children}
      <fieldset className="pt-1">
        <legend className="text-note text-soft">Tell it otherwise, the surest first; how often it lands</legend>
        {told.map((each) => (
          <label
            key={keyOf(each)}
            className="flex min-h-8 cursor-pointer items-center justify-between gap-x-3 border-b border-faint leading-tight outline-offset-[-3px] hover:bg-white/60 has-checked:bg-white has-focus-visible:outline-3 has-focus-visible:outline-set"
          >
            <Radio name="way" value={keyOf(each)} checked={each === large} onPick={setWay} />
            <span className="text-follows first-letter:uppercase">{startInWords(each, units)}</span>
            <span className="text-note whitespace-nowrap text-soft">
              {chanceInWords(each.inBandProbability)}, ±{formatLength(each.tipSdMm, units)}
            </span>
          </label>
        ))}
      </fieldset>
    </section>
  );
}

/** The figure that is read, where one way of telling has a figure; the words otherwise. */
function Large({ told, units }: { readonly told: ToldStart; readonly units: LengthUnit }) {
  const { way, end, mm } = told;
  const figure = (heading: string, after: string) => (
    <>
      <h2 className="text-2xl leading-tight font-medium">{heading}</h2>
      <div className="flex flex-wrap items-end gap-x-4">
        <p className="figures-alone flex items-baseline gap-1.5 text-start text-follows" data-testid="start">
          {formatFigure(roughly(Math.abs(mm), units), units)} <span className="text-4xl">{unitLabel(units)}</span>
        </p>
        <div className="pb-2">
          <p className="text-xl leading-snug">{after}</p>
          <details className="text-note text-soft">
            <summary className="flex min-h-6 cursor-pointer items-center text-set">Exact</summary>
            <span data-testid="start-exact">{formatLength(Math.abs(mm), units)}</span>
          </details>
        </div>
      </div>
    </>
  );
  if (way === 'below') return figure(`Set the ${end} tip at`, 'below the collar button');
  if (way === 'mark') return figure(`Fold the ${end}`, `from its tip: the fold sits at the collar button`);
  if (way === 'difference') return figure('Hang the blade tip', mm >= 0 ? 'lower than the tail tip' : 'higher than the tail tip');
  return (
    <p className="py-2 text-4xl leading-tight font-medium text-follows first-letter:uppercase" data-testid="start">
      {startInWords(told, units)}
    </p>
  );
}

/** What becomes of a tail that misses the keeper. */
function Tucked({ plan, request, school }: Pick<StartReadoutProps, 'plan' | 'request'> & { readonly school: DressingHabits['tucks'] }) {
  const tuck = tuckOf(plan, request, school);
  if (!tuck) return null;
  const where = {
    'between-buttons': 'slip it between the collar button and the next one down',
    nowhere: 'leave it behind the blade, or use a longer tie or fewer moves',
    anywhere: 'tuck it wherever it hides',
  }[tuck.where];
  return (
    <p className="leading-snug text-soft">
      The tail misses the keeper by {formatLength(roughly(tuck.shortMm, request.units), request.units)}: {where}.
    </p>
  );
}

/** By what one way of telling is known among the others. */
function keyOf({ way, end, landmark }: ToldStart): string {
  return `${way} ${end} ${landmark?.name ?? ''}`;
}

/** The way whoever dresses is used to, at the end that is set; where it can't be told so here, below the button. */
function usual(told: readonly ToldStart[], way: WayCode, end: ToldStart['end']): ToldStart | undefined {
  const of = (code: WayCode) => told.find((each) => each.way === code && each.end === end) ?? told.find((each) => each.way === code);
  return of(way) ?? of('below');
}

function learntOf(attempts: readonly Attempt[]): string {
  const known = attempts.filter(({ noiseMm }) => noiseMm >= rememberedNoiseMm).length;
  const tried = attempts.length - known;
  const parts = [
    ...(known > 0 ? ['a start that already works'] : []),
    ...(tried > 0 ? [tried === 1 ? 'one attempt' : `${tried} attempts`] : []),
  ];
  return parts.join(' and ');
}
