import { Maximize2, Pause, Play, Volume2, VolumeX, ZoomIn, ZoomOut } from 'lucide-react';
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { frontDropOf } from '../../../core/body/frontDrop.ts';
import { frameAt, momentBetween } from '../../../core/cloth/steps/moment.ts';
import { napeOf } from '../../../core/cloth/steps/nape.ts';
import type { DimpleWayCode } from '../../../core/guide/dimples.ts';
import { type GuideStep, guideOf, inWordsAlone, saysIn } from '../../../core/guide/guide.ts';
import { type Seat, seatCodes, seats, sideFrom } from '../../../core/guide/seat.ts';
import { parseKnot } from '../../../core/index.ts';
import { pinchedOf } from '../../../core/start/pinch.ts';
import { setIn, states } from '../../../core/start/reading.ts';
import { formatLength, roughly } from '../../../core/units/length.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { usePreferences } from '../../device/preferences.tsx';
import { useShortcuts } from '../../device/shortcuts.ts';
import { voiceOf } from '../../device/voice.ts';
import { type TyingDress, TyingPicture } from '../../seen/TyingPicture.tsx';
import { dimpleOf, tyingOf } from '../../seen/useShownCloth.ts';
import { type LiveSteps, useTyingFrames } from '../../seen/useTyingFrames.ts';
import { Button } from '../../ui/Button.tsx';
import { Loading } from '../../ui/Loading.tsx';
import { Moves } from '../../ui/Moves.tsx';
import { Switch } from '../../ui/Switch.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { Tool } from '../../ui/Tool.tsx';
import { useKnotTitle } from '../../wire/useKnotTitles.ts';
import type { DrawnFitting } from '../FittingDrawn.tsx';
import { tipSpan } from '../set/setInWords.ts';
import { againstBelt } from '../set/startInWords.ts';
import { Beads } from './Beads.tsx';
import { StepTold } from './StepTold.tsx';
import { useRehearsing } from './useRehearsing.ts';
import { type PaceCode, paces, useTying } from './useTying.ts';

const opened = () => import('./sheets.ts');
const AllInWords = lazy(() => opened().then((each) => ({ default: each.AllInWords })));
const Lost = lazy(() => opened().then((each) => ({ default: each.Lost })));
const Undoing = lazy(() => opened().then((each) => ({ default: each.Undoing })));
const Practice = lazy(() => opened().then((each) => ({ default: each.Practice })));
const TakeHome = lazy(() => opened().then((each) => ({ default: each.TakeHome })));
const FromElsewhere = lazy(() => opened().then((each) => ({ default: each.FromElsewhere })));

const sheets = [
  { key: 'step', label: 'Step' },
  { key: 'words', label: 'In words' },
  { key: 'lost', label: 'I’m lost' },
  { key: 'undo', label: 'Undo' },
  { key: 'practice', label: 'Practice' },
  { key: 'card', label: 'Card' },
  { key: 'elsewhere', label: 'Read in' },
] as const;
type SheetCode = (typeof sheets)[number]['key'];

const seatChoices = seatCodes.map((key) => ({ key, label: seats[key].label }));
const paceChoices = (Object.keys(paces) as PaceCode[]).map((key) => ({ key, label: paces[key].label }));
const nears = [0.5, 0.7, 1, 1.4, 2] as const;
const cardSeat: Seat = 'mirror';
const usualHabits = { pins: 'left', tightens: 'blade', keeper: 'before', button: 'first', tucks: 'buttons' } as const;

/** Both hands are at the crossing: the tie as it should lie now, large, and one sentence; gone through without a mouse. */
export function TieStage({ drawn }: { readonly drawn: DrawnFitting }) {
  const { plan, request, colours } = drawn;
  const { values, client, studio, frame: spelled, units, state, stale } = useAsked();
  const titleOf = useKnotTitle();
  const { preferences, prefer } = usePreferences();
  const knot = useMemo(() => parseKnot(plan.moves), [plan.moves]);
  const { blade } = request.client;
  const seat: Seat = spelled.view === 'facing' ? 'facing' : preferences.fromBehind ? 'behind' : 'mirror';
  const habits = studio.person ?? usualHabits;
  const [way, setWay] = useState<DimpleWayCode>();
  const dimple = client?.dimple ?? 'off-centre';
  const steps = useMemo(
    () =>
      guideOf(knot, { seat, blade, pins: habits.pins }, { tie: request.tie, dimple, way, habits, reachesKeeper: plan.tail.reachesKeeper }),
    [knot, seat, blade, habits, request.tie, dimple, way, plan.tail.reachesKeeper],
  );
  // A card goes home with the client, who ties before a mirror.
  const cardSteps = useMemo(
    () =>
      guideOf(
        knot,
        { seat: cardSeat, blade, pins: habits.pins },
        { tie: request.tie, dimple, way, habits, reachesKeeper: plan.tail.reachesKeeper },
      ),
    [knot, blade, habits, request.tie, dimple, way, plan.tail.reachesKeeper],
  );
  const tying = useTying(plan.moves, steps.length);
  const asked = useMemo(() => tyingOf(plan, request, dimpleOf(client)), [plan, request, client]);
  const { own, usual, live, stop, again } = useTyingFrames(asked);
  const sequences = useMemo(() => (live.kind === 'settled' ? [own, usual] : [usual, own]), [live.kind, own, usual]);
  const [turn, setTurn] = useState(0);
  const [near, setNear] = useState(2);
  const [sheet, setSheet] = useState<SheetCode>('step');
  const [isLarge, setLarge] = useState(false);
  const [speaks, setSpeaks] = useState(false);
  const [said, setSaid] = useState('');
  const voice = useRef<ReturnType<typeof voiceOf>>(undefined);

  const step = steps[tying.at] as GuideStep;
  const rehearsing = useRehearsing(tying, knot.moves.length, steps.length);
  const { next } = rehearsing;
  const back = () => tying.go(tying.at - 1);
  const sit = (to: Seat) => {
    prefer({ view: seats[to].view, fromBehind: to === 'behind' });
    setTurn(0);
  };
  useShortcuts({
    nextStep: next,
    previousStep: back,
    handsFree: () => setLarge((large) => !large),
    seat: () => sit(seatCodes[(seatCodes.indexOf(seat) + 1) % seatCodes.length] ?? 'mirror'),
    byItself: () => tying.setByItself(!tying.isByItself),
  });
  const spoken = step.kind === 'move' && step.told.mind ? `${saysIn(step)} ${step.told.mind}` : saysIn(step);
  useEffect(() => {
    if (!speaks) return voice.current?.hush();
    voice.current ??= voiceOf(setSaid);
    voice.current.say(spoken);
  }, [speaks, spoken]);
  useEffect(() => () => voice.current?.hush(), []);

  const dress = useMemo((): TyingDress => {
    const { tie, shirt } = request;
    const { activeMm, standingMm } = napeOf(asked);
    const lining = [1.2 * tie.bladeMm, tie.tailMm] as const;
    return {
      collar: shirt,
      buttonsMm: shirt.buttonsMm,
      shirtColour: colours.shirtColour,
      paint: colours.cloth,
      longMm: [activeMm, standingMm],
      wideMm: Math.max(tie.bladeMm, tie.tailMm) + 4,
      liningMm: knot.active === 'blade' ? lining : [lining[1], lining[0]],
      blade,
    };
  }, [request, asked, colours, knot, blade]);
  const low = Math.floor(tying.shownAt);
  const [from, to] = [steps[low] as GuideStep, steps[Math.min(low + 1, steps.length - 1)] as GuideStep];
  const moment = useMemo(() => momentBetween(from.shows.moment, to.shows.moment, tying.shownAt - low), [from, to, tying.shownAt, low]);
  const shown = useMemo(
    () => frameAt(own, moment) ?? (usual ? frameAt(usual, moment) : undefined) ?? frameAt(own, { of: 'finished' }),
    [own, usual, moment],
  );
  const last = useRef(shown);
  if (shown) last.current = shown;
  const frame = shown ?? last.current;

  const sides = (['left', 'right'] as const).map((side) => sideFrom(seat, side));
  const picture = (
    <div className="relative flex min-h-0 grow flex-col">
      {frame ? (
        <TyingPicture
          frame={frame}
          collar={(tying.shownAt - low < 0.5 ? from : to).shows.collar}
          dress={dress}
          seat={seat}
          title={`${step.title}, ${seats[seat].label}. ${inWordsAlone(step)}`}
          turn={turn}
          onTurn={setTurn}
          near={nears[near] ?? 1}
          isMoving={tying.isMoving}
          {...(isLarge && { onTap: next })}
        />
      ) : (
        <div className="grow bg-[#cfd8de] p-8 text-[#16202a]">
          <Loading />
        </div>
      )}
      {sides.map((side, i) => (
        <p
          key={side}
          aria-hidden="true"
          className={`pointer-events-none absolute top-2 max-w-[30%] text-[#16202a] ${isLarge ? 'text-xl' : 'text-note'} ${i === 0 ? 'left-2' : 'right-2 text-right'}`}
        >
          {side}
        </p>
      ))}
    </div>
  );
  const pinched = pinchedOf(plan);
  const isPinch = step.kind === 'move' && tying.at === knot.moves.length;
  const pinch =
    isPinch && pinched
      ? `Pinched shut, the tip should hang ${againstBelt(roughly(pinched.tipMm - frontDropOf(request.client).meanMm, units), units)}.`
      : null;
  const start = plan.feasible
    ? `${plan.start.set.end === 'tail' ? 'Tail' : 'Blade'} tip ${formatLength(roughly(setIn(plan.start, state), units), units)} below the collar button, ${states[state].short}.`
    : 'This knot won’t work with this tie: see Set.';
  const following = steps[tying.at + 1];
  const told = (
    <>
      <StepTold step={step} tie={request.tie} way={way} onWay={setWay} pinch={pinch} start={start} />
      {following && (
        <p className="border-t border-line pt-2 text-soft">
          <b className="font-medium">Then:</b> {saysIn(following)}
        </p>
      )}
    </>
  );
  const panels: Readonly<Record<SheetCode, () => React.ReactNode>> = {
    step: () => told,
    words: () => <AllInWords steps={steps} at={tying.at} onGo={tying.go} />,
    lost: () => (
      <Lost
        knot={knot}
        seat={seat}
        blade={blade}
        thoughtDone={Math.min(tying.at, knot.moves.length)}
        onFound={(done) => {
          tying.go(done);
          setSheet('step');
        }}
      />
    ),
    undo: () => <Undoing knot={knot} seat={seat} blade={blade} onShow={(done) => tying.go(done)} />,
    practice: () => <Practice moves={plan.moves} title={titleOf(plan)} steps={steps} rehearsing={rehearsing} />,
    card: () => (
      <TakeHome
        knot={knot}
        title={titleOf(plan)}
        who={`${values.client.label} · ${values.tie.label}`}
        start={start}
        aim={`The blade tip should end ${tipSpan(plan.tip, units)} below the collar button (2 times in 3).`}
        steps={cardSteps}
        seat={cardSeat}
        blade={blade}
        sequences={sequences}
      />
    ),
    elsewhere: () => <FromElsewhere frame={spelled} />,
  };
  const count = (
    <p className="figures text-soft" data-step={tying.at}>
      Step {tying.at + 1} of {steps.length}
    </p>
  );
  const walk = (
    <div className="flex items-center gap-3 pt-2">
      <Button look="other" className="min-w-24 text-lg" disabled={tying.at === 0} onClick={back}>
        Back
      </Button>
      <input
        type="range"
        aria-label="Through the tying by hand"
        aria-valuetext={step.title}
        className="h-11 min-w-0 grow accent-set"
        min={0}
        max={steps.length - 1}
        step={0.05}
        value={tying.shownAt}
        onChange={(event) => tying.scrub(Number(event.target.value))}
        onPointerUp={() => tying.go(tying.at)}
      />
      <Button className="min-w-28 text-lg" disabled={tying.at === steps.length - 1 && rehearsing.state !== 'running'} onClick={next}>
        Next
      </Button>
    </div>
  );
  const tools = (
    <span className="flex items-center">
      <Tool label={speaks ? 'Stop speaking' : 'Speak each step'} onPress={() => setSpeaks(!speaks)}>
        {speaks ? <Volume2 aria-hidden className="size-5" /> : <VolumeX aria-hidden className="size-5" />}
      </Tool>
      <Tool label={tying.isByItself ? 'Stop (Y)' : 'Go on by itself (Y)'} onPress={() => tying.setByItself(!tying.isByItself)}>
        {tying.isByItself ? <Pause aria-hidden className="size-5" /> : <Play aria-hidden className="size-5" />}
      </Tool>
      <Tool label="Farther" onPress={near > 0 ? () => setNear(near - 1) : undefined}>
        <ZoomOut aria-hidden className="size-5" />
      </Tool>
      <Tool label="Nearer" onPress={near < nears.length - 1 ? () => setNear(near + 1) : undefined}>
        <ZoomIn aria-hidden className="size-5" />
      </Tool>
      <Tool label="In large, from two metres (W)" onPress={() => setLarge(!isLarge)}>
        <Maximize2 aria-hidden className="size-5" />
      </Tool>
    </span>
  );

  if (isLarge)
    return (
      <main aria-label="Tying in large" className="fixed inset-0 z-40 flex flex-col bg-ground">
        <div className="flex min-h-0 grow max-lg:flex-col">
          <div className="flex min-h-0 grow basis-3/5 flex-col">{picture}</div>
          <button
            type="button"
            className="flex grow basis-2/5 cursor-pointer flex-col justify-center gap-4 p-6 text-left"
            onClick={next}
            aria-label={`Next step after: ${saysIn(step)}`}
          >
            <span className="text-3xl text-soft">
              {step.title} · {tying.at + 1} of {steps.length}
            </span>
            <span aria-live="polite" className="text-[clamp(2rem,4.6vw,5rem)] leading-[1.05] font-semibold text-balance">
              {saysIn(step)}
            </span>
            {step.kind === 'move' && <span className="text-3xl text-follows">{step.told.shown}</span>}
          </button>
        </div>
        <div className="flex items-center gap-4 border-t border-line px-5 pb-2">
          <div className="grow">{walk}</div>
          <Button look="other" onClick={() => setLarge(false)}>
            Back to the bench
          </Button>
        </div>
      </main>
    );
  return (
    <main
      className={`grid min-h-0 grow gap-x-6 px-5 pt-1 pb-2 md:grid-cols-[minmax(0,6fr)_minmax(0,5fr)] lg:grid-rows-[minmax(0,1fr)] ${stale ? 'opacity-50' : ''}`}
    >
      <section aria-label="The tie now" className="flex min-h-0 flex-col max-md:h-[34rem]">
        <div className="flex flex-wrap items-center justify-between gap-x-3">
          <Switch small label="Seen" value={seat} choices={seatChoices} onChange={sit} />
          {tools}
        </div>
        <div className="relative flex min-h-0 grow flex-col">
          {picture}
          <p role="status" className="absolute right-2 bottom-1 flex items-center gap-2 bg-ground/80 px-1 text-note">
            {tellLive(live, own.moving.length > 0, usual !== undefined && usual !== null)}
            {live.kind === 'settling' && live.share > 0 && (
              <Button look="text" className="min-h-6" onClick={stop}>
                Stop
              </Button>
            )}
            {(live.kind === 'stopped' || live.kind === 'failed') && (
              <Button look="text" className="min-h-6" onClick={again}>
                Show it in this tie
              </Button>
            )}
          </p>
        </div>
        {walk}
      </section>
      <section aria-label="Steps of the tying" className="flex min-h-0 flex-col max-md:order-first">
        <div className="flex items-center justify-between gap-x-4">
          {count}
          <Moves of={plan.moves} frame={spelled} className="text-lg" />
          {tying.isByItself && <Switch small label="Pace" value={tying.pace} choices={paceChoices} onChange={tying.setPace} />}
        </div>
        {said && <p className="text-note text-soft">This browser has no voice, so what would be said is written: “{said}”</p>}
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

function tellLive(live: LiveSteps, hasOwn: boolean, hasUsual: boolean): string {
  switch (live.kind) {
    case 'settled':
      return 'Simulated in this tie. Drag to turn it.';
    case 'stopped':
      return hasUsual ? 'Shown in a usual tie.' : 'Stopped.';
    case 'failed':
      return hasUsual ? 'Shown in a usual tie: this one could not be simulated.' : 'No picture of this tie.';
    case 'settling':
      return `${hasOwn || !hasUsual ? 'In this tie' : 'In a usual tie, then in this one'}: ${Math.round(100 * live.share)}%`;
  }
}
