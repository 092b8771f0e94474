import { lazy, type ReactNode, Suspense, useState } from 'react';
import { frontDropOf } from '../../../core/body/frontDrop.ts';
import { type GuideStep, saysIn } from '../../../core/guide/guide.ts';
import { type Seat, seatCodes, seats } from '../../../core/guide/seat.ts';
import { pinchedOf } from '../../../core/start/pinch.ts';
import { setIn, states } from '../../../core/start/reading.ts';
import { formatLength, roughly } from '../../../core/units/length.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { usePreferences } from '../../device/preferences.tsx';
import { useShortcuts } from '../../device/shortcuts.ts';
import { TakeAway } from '../../seen/TakeAway.tsx';
import { mirroredBlade } from '../../seen/TyingPicture.tsx';
import { Button } from '../../ui/Button.tsx';
import { Loading } from '../../ui/Loading.tsx';
import { Moves } from '../../ui/Moves.tsx';
import { Switch } from '../../ui/Switch.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { useKnotTitle } from '../../wire/useKnotTitles.ts';
import type { DrawnFitting } from '../FittingDrawn.tsx';
import { tipSpan } from '../set/setInWords.ts';
import { againstBelt } from '../set/startInWords.ts';
import { Beads } from './Beads.tsx';
import { InLarge } from './InLarge.tsx';
import { StepControls } from './StepControls.tsx';
import { StepTold } from './StepTold.tsx';
import { TieNowPicture } from './TieNowPicture.tsx';
import { nears, TyingTools, usualNear } from './TyingTools.tsx';
import { cardSeat, useGuide } from './useGuide.ts';
import { useRehearsing } from './useRehearsing.ts';
import { useSpeaking } from './useSpeaking.ts';
import { useTieNow } from './useTieNow.ts';
import { type PaceCode, paces, useTying } from './useTying.ts';

const opened = () => import('./sheets.ts');
const AllInWords = lazy(() => opened().then((each) => ({ default: each.AllInWords })));
const Lost = lazy(() => opened().then((each) => ({ default: each.Lost })));
const Untying = lazy(() => opened().then((each) => ({ default: each.Untying })));
const Practice = lazy(() => opened().then((each) => ({ default: each.Practice })));
const TakeHome = lazy(() => opened().then((each) => ({ default: each.TakeHome })));
const FromElsewhere = lazy(() => opened().then((each) => ({ default: each.FromElsewhere })));

const sheets = [
  { key: 'step', label: 'Step' },
  { key: 'words', label: 'In words' },
  { key: 'lost', label: 'I’m lost' },
  { key: 'untie', label: 'Untie' },
  { key: 'practice', label: 'Practice' },
  { key: 'card', label: 'Card' },
  { key: 'elsewhere', label: 'Read in' },
] as const;
type SheetCode = (typeof sheets)[number]['key'];

const seatChoices = seatCodes.map((key) => ({ key, label: seats[key].label }));
const paceChoices = (Object.keys(paces) as PaceCode[]).map((key) => ({ key, label: paces[key].label }));

/** Both hands are at the crossing: the tie as it should lie now, large, and one sentence; gone through without a mouse. */
export function TieStage({ drawn }: { readonly drawn: DrawnFitting }) {
  const { plan, request } = drawn;
  const { values, frame: spelled, units, state, stale } = useAsked();
  const { prefer } = usePreferences();
  const titleOf = useKnotTitle();
  const guide = useGuide(drawn);
  const { knot, seat, blade, steps } = guide;
  const tying = useTying(plan.moves, steps.length);
  const rehearsing = useRehearsing(tying, knot.moves.length, steps.length);
  const [turn, setTurn] = useState(0);
  const [near, setNear] = useState(usualNear);
  const [sheet, setSheet] = useState<SheetCode>('step');
  const [isLarge, setLarge] = useState(false);
  const [isChild, setChild] = useState(false);
  const [out, setOut] = useState<number | null>(null);
  const now = useTieNow(drawn, guide, tying.shownAt, sheet === 'untie' ? out : null);
  const step = steps[tying.at] as GuideStep;
  const { speaks, setSpeaks, written } = useSpeaking(
    [saysIn(step), step.kind === 'move' ? step.told.mind : null].filter(Boolean).join(' '),
  );

  const sit = (to: Seat) => {
    prefer({ view: seats[to].view, fromBehind: to === 'behind' });
    setTurn(0);
  };
  useShortcuts({
    nextStep: rehearsing.next,
    previousStep: () => tying.go(tying.at - 1),
    handsFree: () => setLarge((large) => !large),
    seat: () => sit(seatCodes[(seatCodes.indexOf(seat) + 1) % seatCodes.length] ?? 'mirror'),
    byItself: () => tying.setByItself(!tying.isByItself),
  });

  const place = `${tying.at + 1} of ${steps.length}`;
  const picture = (
    <TieNowPicture
      {...{ now, step, seat, turn }}
      onTurn={setTurn}
      near={nears[near] ?? 1}
      isMoving={tying.isMoving}
      {...(isLarge && { onTap: rehearsing.next })}
    />
  );
  const controls = (
    <StepControls
      tying={tying}
      count={steps.length}
      title={step.title}
      onNext={rehearsing.next}
      isLast={tying.at === steps.length - 1 && rehearsing.state !== 'running'}
    />
  );
  if (isLarge) return <InLarge {...{ step, place, isChild, picture, controls }} onNext={rehearsing.next} onLeave={() => setLarge(false)} />;

  const start = plan.feasible
    ? `${plan.start.set.end === 'tail' ? 'Tail' : 'Blade'} tip ${formatLength(roughly(setIn(plan.start, state), units), units)} below the collar button, ${states[state].short}.`
    : 'This knot won’t work with this tie: see Set.';
  const panels: Readonly<Record<SheetCode, () => ReactNode>> = {
    step: () => (
      <StepTold
        step={step}
        following={steps[tying.at + 1]}
        tie={request.tie}
        way={guide.way}
        onWay={guide.setWay}
        pinch={tying.at === knot.moves.length ? pinchSeen(drawn) : null}
        start={start}
      />
    ),
    words: () => <AllInWords steps={steps} at={tying.at} onGo={tying.go} />,
    lost: () => (
      <Lost
        {...{ knot, seat, blade }}
        thoughtDone={Math.min(tying.at, knot.moves.length)}
        onFound={(done) => {
          tying.go(done);
          setSheet('step');
        }}
      />
    ),
    untie: () => <Untying {...{ knot, seat, blade, plan, request, out }} onShow={tying.go} onOut={setOut} />,
    practice: () => (
      <Practice
        moves={plan.moves}
        title={titleOf(plan)}
        steps={steps}
        rehearsing={rehearsing}
        onClass={() => {
          rehearsing.begin();
          tying.setByItself(true);
          setLarge(true);
        }}
        onChild={setChild}
      />
    ),
    card: () => (
      <TakeHome
        {...{ knot, blade, start }}
        fabric={request.tie.fabric}
        title={titleOf(plan)}
        who={`${values.client.label} · ${values.tie.label}`}
        aim={`The blade tip should end ${tipSpan(plan.tip, units)} below the collar button (2 times in 3).`}
        steps={guide.cardSteps}
        seat={cardSeat}
        ofStep={
          now.frame && (
            <TakeAway
              name={`${titleOf(plan)}, ${step.title}`}
              cloth={now.frame}
              paint={now.dress.paint}
              blade={mirroredBlade(seat, blade)}
              turn={turn}
              isTying
            />
          )
        }
        sequences={now.sequences}
      />
    ),
    elsewhere: () => <FromElsewhere frame={spelled} />,
  };
  return (
    <main
      className={`grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-x-6 px-5 pt-1 pb-2 md:grid-cols-[minmax(0,6fr)_minmax(0,5fr)] lg:grid-rows-[minmax(0,1fr)] ${stale ? 'opacity-50' : ''}`}
    >
      <section aria-label="The tie now" className="flex min-h-0 flex-col max-md:h-[34rem]">
        <div className="flex flex-wrap items-center justify-between gap-x-3">
          <Switch small label="Seen" value={seat} choices={seatChoices} onChange={sit} />
          <TyingTools
            speaks={speaks}
            onSpeak={setSpeaks}
            isByItself={tying.isByItself}
            onByItself={tying.setByItself}
            near={near}
            onNear={setNear}
            onLarge={() => setLarge(true)}
          />
        </div>
        <div className="relative flex min-h-0 grow flex-col">
          {picture}
          <p role="status" className="absolute right-2 bottom-1 flex items-center gap-2 bg-ground/80 px-1 text-note">
            {now.told}
            {now.live.kind === 'settling' && now.live.share > 0 && (
              <Button look="text" className="min-h-6" onClick={now.stop}>
                Stop
              </Button>
            )}
            {(now.live.kind === 'stopped' || now.live.kind === 'failed') && (
              <Button look="text" className="min-h-6" onClick={now.again}>
                Show it in this tie
              </Button>
            )}
          </p>
        </div>
        {controls}
      </section>
      <section aria-label="Steps of the tying" className="flex min-h-0 flex-col max-md:order-first">
        <div className="flex flex-wrap items-center justify-between gap-x-4">
          <p className="figures text-soft" data-step={tying.at}>
            Step {place}
          </p>
          <Moves of={plan.moves} frame={spelled} className="text-lg" />
          {tying.isByItself && <Switch small label="Pace" value={tying.pace} choices={paceChoices} onChange={tying.setPace} />}
        </div>
        {written && <p className="text-note text-soft">This browser has no voice, so what would be said is written: “{written}”</p>}
        <Beads steps={steps} at={tying.at} onGo={tying.go} />
        <Tabs label="Tying" tabs={sheets} value={sheet} onChange={setSheet}>
          <Suspense fallback={<Loading />}>{panels[sheet]()}</Suspense>
        </Tabs>
        <p className="mt-auto pt-1 text-note text-soft">
          One finger’s room at the throat, always. Dressing someone else: ask first, slide up slowly, stop at any discomfort. Never leave a
          child alone with a tied tie; a breakaway tie is safer at play. Near machinery: no tie, or a breakaway tie.
        </p>
      </section>
    </main>
  );
}

/** What the pinch check should show on this client; nothing where there is nothing to pinch. */
function pinchSeen({ plan, request: { client, units } }: DrawnFitting): string | null {
  const pinched = pinchedOf(plan);
  if (!pinched) return null;
  return `Pinched shut, the tip should hang ${againstBelt(roughly(pinched.tipMm - frontDropOf(client).meanMm, units), units)}.`;
}
