import { useMemo, useState } from 'react';
import { landmarksOf } from '../../../core/body/landmarks.ts';
import { untaught as asUntaught } from '../../../core/fitbook/here.ts';
import { knotTitle } from '../../../core/knot/code.ts';
import { parseKnot } from '../../../core/knot/parse.ts';
import { type AimCode, aimCodes, aimOn, aims } from '../../../core/plan/aims.ts';
import { dressing } from '../../../core/plan/habits.ts';
import { plan as planFor } from '../../../core/plan/plan.ts';
import { type Attempt, attemptOf, correctionAfter, knotsFromStart, mostAttempts, rememberedNoiseMm } from '../../../core/start/attempts.ts';
import { hangOf } from '../../../core/start/hang.ts';
import { type StateCode, tailFrom, tipIn } from '../../../core/start/reading.ts';
import { tailOnClient } from '../../../core/start/tiedOn.ts';
import { formatLength, roughly } from '../../../core/units/length.ts';
import { tieNamed } from '../../atHand/lessons.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Button } from '../../ui/Button.tsx';
import { PlainLength } from '../../ui/PlainLength.tsx';
import { useKnotTitle } from '../../wire/useKnotTitles.ts';
import type { DrawnFitting } from '../FittingDrawn.tsx';
import { SeenField } from './SeenField.tsx';
import { againstBelt, lowerOrHigher } from './startInWords.ts';

interface CameOutProps {
  readonly drawn: DrawnFitting;
  /** The same as it was read, where the knot was tied on another neck. */
  readonly read: Pick<DrawnFitting, 'plan' | 'request'>;
  readonly state: StateCode;
  readonly seenMm: number | undefined;
  readonly onSeen: (mm: number | undefined) => void;
  readonly tailEndMm: number | undefined;
  readonly onTailEnd: (mm: number | undefined) => void;
  readonly onAgain: () => void;
}

/** The knot is tied and the tip is not where it should be: where it ended, and the start for the next attempt. */
export function CameOut({ drawn, read, state, seenMm, onSeen, tailEndMm, onTailEnd, onAgain }: CameOutProps) {
  const { plan, request } = drawn;
  const { store, values, units } = useAsked();
  const [usedMm, setUsedMm] = useState<number>();
  const { end } = plan.start.set;
  const toldMm = roughly(tipIn(read.plan.start.readings, state, end), units);
  /** The knot stays in hand, whatever is the best match once something was learnt. */
  const keep = (attempt: Attempt) =>
    store.change((now) => ({ ...now, knot: attempt.moves, attempts: [...now.attempts, attempt].slice(-mostAttempts) }));
  const keepSeen = () => {
    if (seenMm === undefined) return;
    const tailMm = tailOnClient(tailFrom(state, end, usedMm ?? toldMm, hangOf(asUntaught(read.request))), request, read.request);
    const seen = { moves: plan.moves, tie: tieNamed(values), tailMm, state, tipOffMm: seenMm, tailEndMm: tailEndMm ?? null };
    keep(attemptOf(request, seen));
    onSeen(undefined);
    setUsedMm(undefined);
    onTailEnd(undefined);
  };
  return (
    <section aria-label="How it came out" className="space-y-2 py-2">
      <form
        className="space-y-1"
        onSubmit={(event) => {
          event.preventDefault();
          keepSeen();
        }}
      >
        <SeenField
          key={values.attempts.length}
          label="The blade tip ended"
          mm={seenMm}
          expectedMm={request.aim.offsetMm}
          units={units}
          onChange={onSeen}
        />
        <div className="flex flex-wrap items-center gap-x-6">
          <PlainLength
            label={`The ${end} tip was set at (${dressing.readsAt[state].label})`}
            mm={usedMm}
            expectedMm={toldMm}
            minMm={50}
            maxMm={1400}
            units={units}
            onChange={setUsedMm}
          />
          <PlainLength label="Tail tip ended, if seen" mm={tailEndMm} minMm={30} maxMm={1000} units={units} onChange={onTailEnd} />
        </div>
        <p className="flex flex-wrap items-center gap-x-3">
          <Button type="submit" disabled={seenMm === undefined}>
            Keep this attempt
          </Button>
          {seenMm === undefined && <span className="text-soft">Enter where the tip ended, or drag it on the drawing.</span>}
        </p>
      </form>
      <Corrected state={state} onAgain={onAgain} />
      <AlreadyWorks drawn={drawn} state={state} onKeep={keep} />
    </section>
  );
}

/** What follows from the attempts so far: the next start beside the rule of thumb, and what could be tied as the tie hangs. */
function Corrected({ state, onAgain }: Pick<CameOutProps, 'state' | 'onAgain'>) {
  const { store, values, lessons, request, untaught, question, units, learnt } = useAsked();
  const titleOf = useKnotTitle();
  const { attempts } = values;
  const last = attempts.at(-1);
  const correction = useMemo(() => last && correctionAfter(last, lessons, untaught.request, learnt), [last, lessons, untaught, learnt]);
  const others = useMemo(() => (last ? knotsFromStart(last, planFor(question).knots, request).slice(0, 3) : []), [last, question, request]);
  if (!correction || !last) return null;
  const { next, byMm, thumbMm, thumbMissesMm } = correction;
  const { end } = next.start.set;
  const say = (mm: number) => formatLength(roughly(Math.abs(mm), units), units);
  const remove = (at: number) =>
    store.set(
      'attempts',
      attempts.filter((_, i) => i !== at),
    );
  return (
    <div aria-live="polite" className="space-y-2 border-t-2 border-ink pt-2">
      <p className="text-2xl leading-tight font-medium">
        Next time set the {end} tip at{' '}
        <span className="text-follows" data-testid="next-start">
          {say(tipIn(next.start.readings, state, end))}
        </span>
        , {lowerOrHigher(roughly(byMm, units), units)}.
      </p>
      <p className="leading-snug text-soft">
        One for one would be {lowerOrHigher(roughly(thumbMm, units), units)}
        {Math.abs(thumbMissesMm) < 5
          ? ', about the same here.'
          : `: the tip would then end ${say(thumbMissesMm)} too ${thumbMissesMm > 0 ? 'low' : 'high'}, since a lower start knots wider cloth and moves the tip by more than itself, and not all of a miss comes again.`}
      </p>
      <p className="flex flex-wrap items-center gap-x-4">
        <Button look="other" onClick={onAgain}>
          Set it so and tie again
        </Button>
        {others.length > 0 && (
          <span>
            Or from the same start:{' '}
            {others.map((other) => (
              <Button key={other.moves} look="text" className="mr-2" onClick={() => store.set('knot', other.moves)}>
                {titleOf(other)}
              </Button>
            ))}
          </span>
        )}
      </p>
      <ol aria-label="Attempts" className="text-note">
        {attempts.map((attempt, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the attempts are told by their order.
          <li key={at} className="flex items-center justify-between border-b border-faint">
            <span>
              {at + 1}. {titleOf({ moves: attempt.moves, title: knotTitle(parseKnot(attempt.moves)) })}:{' '}
              {attempt.noiseMm >= rememberedNoiseMm ? 'known to end ' : 'ended '}
              {againstBelt(attempt.tipOffMm, units)}
            </span>
            <Button look="text" className="min-h-8" aria-label={`Remove attempt ${at + 1}`} onClick={() => remove(at)}>
              Remove
            </Button>
          </li>
        ))}
      </ol>
    </div>
  );
}

interface AlreadyWorksProps {
  readonly drawn: DrawnFitting;
  readonly state: StateCode;
  readonly onKeep: (attempt: Attempt) => void;
}

/** A start somebody owns already, told in one sentence: every other tie and knot of this client starts from it. */
function AlreadyWorks({ drawn: { plan, request }, state, onKeep }: AlreadyWorksProps) {
  const { values, units } = useAsked();
  const titleOf = useKnotTitle();
  const landmarks = landmarksOf(request.client, request.shirt.buttonsMm);
  const [at, setAt] = useState('navel');
  const [lands, setLands] = useState<AimCode>('belt-middle');
  const { end } = plan.start.set;
  const landmark = landmarks.find(({ name }) => name === at);
  const keep = () => {
    if (!landmark) return;
    const tailMm = tailFrom(state, end, landmark.meanMm, hangOf(asUntaught(request)));
    const tipOffMm = aimOn(lands, request.client.beltHeightMm).offsetMm;
    onKeep(attemptOf(request, { moves: plan.moves, tie: tieNamed(values), tailMm, state, tipOffMm, noiseMm: rememberedNoiseMm }));
  };
  const select = 'h-9 border-b-2 border-set/40 bg-transparent text-set';
  return (
    <details className="border-t border-line pt-1">
      <summary className="min-h-8 cursor-pointer text-set">A start that already works</summary>
      <p className="flex flex-wrap items-center gap-x-2 gap-y-1 text-lg">
        {values.tie.label}, {titleOf(plan)}, {dressing.readsAt[state].label}: {end} tip at the
        <select aria-label={`Where the ${end} tip hangs`} className={select} value={at} onChange={(event) => setAt(event.target.value)}>
          {landmarks.map(({ name, meanMm }) => (
            <option key={name} value={name}>
              {name} ({formatLength(roughly(meanMm, units), units)})
            </option>
          ))}
        </select>
        lands at
        <select
          aria-label="Where the blade tip ends"
          className={select}
          value={lands}
          onChange={(event) => setLands(event.target.value as AimCode)}
        >
          {aimCodes
            .filter((code) => code !== 'hidden' && code !== 'level')
            .map((code) => (
              <option key={code} value={code}>
                {aims[code].label}
              </option>
            ))}
        </select>
        <Button look="other" onClick={keep}>
          Start from this
        </Button>
      </p>
    </details>
  );
}
