import { lazy, type ReactNode, Suspense, useState } from 'react';
import { frontDropOf } from '../../../core/body/frontDrop.ts';
import { stateCodes, states } from '../../../core/start/reading.ts';
import { Walk } from '../../../drawing/walk/Walk.tsx';
import { useAsked } from '../../atHand/useAtHand.ts';
import { useShortcuts } from '../../device/shortcuts.ts';
import { TakeDrawing } from '../../seen/TakeDrawing.tsx';
import { Loading } from '../../ui/Loading.tsx';
import { ViewSwitch } from '../../ui/Moves.tsx';
import { Switch } from '../../ui/Switch.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { useAlive } from '../../ui/useAlive.ts';
import type { DrawnFitting } from '../FittingDrawn.tsx';
import { FrontDrawn } from '../FittingDrawn.tsx';
import { FrontDropHandle, TieHandles } from '../handles.tsx';
import { StartReadout } from './StartReadout.tsx';
import { TiedOn, useNeckTiedOn, usualStandNeckMm } from './TiedOn.tsx';
import { TipHandle } from './TipHandle.tsx';

const opened = () => import('./sheets.ts');
const Cures = lazy(() => opened().then((each) => ({ default: each.Cures })));
const BookSays = lazy(() => opened().then((each) => ({ default: each.BookSays })));
const Size = lazy(() => opened().then((each) => ({ default: each.Size })));
const CameOut = lazy(() => opened().then((each) => ({ default: each.CameOut })));
const PinchCheck = lazy(() => opened().then((each) => ({ default: each.PinchCheck })));
const QuickMeasures = lazy(() => opened().then((each) => ({ default: each.QuickMeasures })));

/** The tail's handle stands beside the blade's, so that both can be taken, mm. */
const tailAsideMm = 34;

/** Height over width of the walk's strip. */
const walkAspect = 0.24;

const sheets = [
  { key: 'start', label: 'Start' },
  { key: 'loops', label: 'Measure in ten seconds' },
  { key: 'pinch', label: 'Pinch check' },
  { key: 'came-out', label: 'It came out wrong' },
] as const;
type SheetCode = (typeof sheets)[number]['key'];

/** The tie hangs around the client's neck, an end in each hand: one large figure, where on the body that is, and the tie along its length. */
export function SetStage({ drawn }: { readonly drawn: DrawnFitting }) {
  const { plan, request, colours } = drawn;
  const { values, frame, setView, state, setState, stale } = useAsked();
  const alive = useAlive();
  const [sheet, setSheet] = useState<SheetCode>('start');
  /** Where the tip is seen, against the belt top; until it is looked at, where it should be. */
  const [seenMm, setSeenMm] = useState<number>();
  /** The same of the tail, below the collar button. */
  const [tailEndMm, setTailEndMm] = useState<number>();
  const turnTo = (to: SheetCode) => {
    setSheet(to);
    setSeenMm(undefined);
    setTailEndMm(undefined);
  };
  const turn = () => setState(stateCodes[(stateCodes.indexOf(state) + 1) % stateCodes.length] ?? 'open');
  useShortcuts({ stage: turn });
  const [standNeckMm, setStandNeckMm] = useState<number>();
  const read = useNeckTiedOn(drawn, standNeckMm ?? usualStandNeckMm);
  const beltMm = frontDropOf(request.client).meanMm;
  const isLooked = sheet === 'pinch' || sheet === 'came-out';
  const tipMm = seenMm ?? request.aim.offsetMm;

  const panels: Readonly<Record<SheetCode, () => ReactNode>> = {
    start: () =>
      plan.feasible ? (
        <>
          <StartReadout {...read} state={state} attempts={values.attempts}>
            {alive && (
              <Suspense>
                <BookSays plan={plan} />
              </Suspense>
            )}
          </StartReadout>
          {alive && (
            <Suspense>
              <Size plan={plan} />
            </Suspense>
          )}
        </>
      ) : (
        alive && <Cures knot={plan} />
      ),
    loops: () => <QuickMeasures drawn={drawn} />,
    pinch: () => <PinchCheck plan={plan} request={request} seenMm={seenMm} onSeen={setSeenMm} onUndo={() => turnTo('came-out')} />,
    'came-out': () => (
      <CameOut
        drawn={drawn}
        read={read}
        state={state}
        seenMm={seenMm}
        onSeen={setSeenMm}
        tailEndMm={tailEndMm}
        onTailEnd={setTailEndMm}
        onAgain={() => turnTo('start')}
      />
    ),
  };

  return (
    <main
      className={`fills grid min-h-0 grow gap-x-8 px-5 pt-2 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)] lg:grid-rows-[minmax(0,1fr)] ${stale ? 'opacity-50' : ''}`}
    >
      <section aria-label="Front" className="flex min-h-0 flex-col">
        <div className="flex flex-wrap justify-between border-b border-line pb-1">
          {isLooked ? (
            <p className="flex min-h-9 items-center text-soft">Drag the tip to where it is seen</p>
          ) : (
            <Switch label="How the tie lies" small value={state} choices={lying} onChange={setState} />
          )}
          <ViewSwitch frame={frame} onView={setView} />
        </div>
        <FrontDrawn
          drawn={isLooked ? landed(drawn, beltMm + tipMm, tailEndMm) : { ...drawn, plan: read.plan }}
          stage={isLooked ? 'tied' : 'hung'}
          state={state}
          className="h-[30rem] lg:min-h-60"
        >
          {isLooked ? (
            <>
              <TipHandle label="Blade tip" x={0} beltMm={beltMm} offMm={tipMm} units={request.units} onChange={setSeenMm} />
              {sheet === 'came-out' && plan.start.set.end === 'tail' && (
                <TipHandle
                  label="Tail tip"
                  x={tailAsideMm}
                  beltMm={beltMm}
                  offMm={(tailEndMm ?? plan.tail.dropMm) - beltMm}
                  units={request.units}
                  onChange={(offMm) => setTailEndMm(beltMm + offMm)}
                />
              )}
            </>
          ) : (
            <FrontDropHandle request={request} />
          )}
        </FrontDrawn>
        <p className="pb-1 text-note text-soft">{isLooked ? '' : states[state].says}</p>
      </section>
      <div className="flex min-h-0 flex-col justify-between gap-y-2 max-md:order-first">
        <div className="flex min-h-0 flex-col">
          <TiedOn standNeckMm={standNeckMm} onStandNeck={setStandNeckMm} />
          <Tabs label="Setting the start" tabs={sheets} value={sheet} onChange={turnTo}>
            {/* The first sheet is drawn by the server, whole: it must not wait behind a boundary. */}
            {sheet === 'start' ? panels.start() : <Suspense fallback={<Loading />}>{panels[sheet]()}</Suspense>}
          </Tabs>
        </div>
        {sheet === 'start' && (
          <section aria-label="The tie along its length" className="max-lg:hidden">
            <Walk id="walk" request={request} plan={plan} cloth={colours.cloth} aspect={walkAspect} className="w-full">
              <TieHandles request={request} />
            </Walk>
            <p className="flex flex-wrap gap-x-8">
              <TakeDrawing within="Front" name="Front" />
              <TakeDrawing within="The tie along its length" name="Tie" />
            </p>
          </section>
        )}
      </div>
    </main>
  );
}

const lying = stateCodes.map((key) => ({ key, label: states[key].short }));

/** The fitting with its tips where they were seen. */
function landed(drawn: DrawnFitting, dropMm: number, tailEndMm: number | undefined): DrawnFitting {
  const { plan } = drawn;
  return { ...drawn, plan: { ...plan, tip: { ...plan.tip, dropMm }, tail: { ...plan.tail, dropMm: tailEndMm ?? plan.tail.dropMm } } };
}
