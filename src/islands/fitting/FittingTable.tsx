import { Keyboard, Printer, Redo2, Undo2 } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { type KnotPlan, plan as planFor } from '../../core/index.ts';
import { Walk } from '../../drawing/walk/Walk.tsx';
import { CollarCloseUp } from '../../drawing/wearer/CollarCloseUp.tsx';
import { FrontFigure } from '../../drawing/wearer/FrontFigure.tsx';
import { type PieceCode, pieces } from '../atHand/pieces.ts';
import { Sentence } from '../atHand/Sentence.tsx';
import { useAsked } from '../atHand/useAtHand.ts';
import { WhoIsDressing } from '../atHand/WhoIsDressing.tsx';
import { unitChoices } from '../device/preferences.tsx';
import { useShortcuts } from '../device/shortcuts.ts';
import { drawnColours } from '../seen/dressed.ts';
import { useKnotInCloth } from '../seen/useKnotPictures.ts';
import { useSteps } from '../ui/entryStore.ts';
import { ViewSwitch } from '../ui/Moves.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { Places } from '../ui/Places.tsx';
import { Switch } from '../ui/Switch.tsx';
import { Tool } from '../ui/Tool.tsx';
import { useAlive } from '../ui/useAlive.ts';
import { useKnotTitle } from '../wire/useKnotTitles.ts';
import { KnotCaption } from './choose/KnotCaption.tsx';
import { KnotRanking } from './choose/KnotRanking.tsx';
import { FrontDropHandle, LapelMeasure, SpreadMeasure, TieHandles } from './handles.tsx';
import { MeasureSheet } from './MeasureSheet.tsx';
import { SaveLine } from './SaveLine.tsx';
import { PrintedCard } from './set/PrintedCard.tsx';
import { StartReadout } from './set/StartReadout.tsx';
import { useSaving } from './useSaving.ts';

const AsSaved = lazy(() => import('./AsSaved.tsx').then(({ AsSaved: Said }) => ({ default: Said })));
const KeysDialog = lazy(() => import('../ui/KeysDialog.tsx').then(({ KeysDialog: Dialog }) => ({ default: Dialog })));

/** Height over width of the walk's strip. */
const walkAspect = 0.175;

/** A fitting at work: everything that is set, and all that follows from it, at once. */
export function FittingTable() {
  const { store, values, studio, units, setUnits, frame, setView, question, request, stale, faults, opened, untouched, outage } =
    useAsked();
  const plan = useMemo(() => planFor(question), [question]);
  const { undo, redo } = useSteps(store);
  const saving = useSaving(values);
  const titleOf = useKnotTitle();
  const alive = useAlive();
  const [piece, setPiece] = useState<PieceCode>('client');
  const [stage, setStage] = useState<'hung' | 'tied'>('tied');
  const [keysOpen, setKeysOpen] = useState(false);

  const colours = useMemo(() => drawnColours(request, values.colours), [request, values.colours]);
  const { knots } = plan;
  const chosenNow = knots.find(({ moves }) => moves === values.knot) ?? knots[0];
  // A saved fitting shows the answer it was saved with until something is changed.
  const asSaved = opened && untouched ? opened.answer : undefined;
  const chosen = asSaved ?? chosenNow;
  const picture = useKnotInCloth(chosen?.moves, colours.cloth);
  const hindrance = asSaved ? 'This fitting is saved.' : hindranceOf(chosen, stale, faults.length);

  const choose = (moves: string | null) => store.set('knot', moves);
  const step = (by: number) => {
    const at = knots.findIndex(({ moves }) => moves === chosenNow?.moves);
    const next = knots[at + by];
    if (next) choose(next.moves);
  };
  const { search } = values.question;
  const setSearch = (changed: Partial<typeof search>) => store.set('question.search', { ...search, ...changed });
  const save = () => {
    if (chosen && !hindrance && saving.state.kind !== 'saved') saving.save(values, question, chosen.moves);
  };
  useShortcuts({
    save,
    undo: () => undo?.(),
    redo: () => redo?.(),
    nextKnot: () => step(1),
    previousKnot: () => step(-1),
    allKnots: () => setSearch({ knots: search.knots === 'all' ? 'named' : 'all' }),
    stage: () => setStage(stage === 'tied' ? 'hung' : 'tied'),
    view: () => setView(frame.view === 'facing' ? 'own' : 'facing'),
    units: () => setUnits(units === 'cm' ? 'in' : 'cm'),
    help: () => setKeysOpen(true),
    ...Object.fromEntries(pieces.map((each) => [each, () => setPiece(each)])),
  });

  if (!chosen) return <p className="p-8 text-xl">No knot can be planned for these measures.</p>;

  const drawn = { request, plan: chosen, view: frame.view, picture, ...colours };
  return (
    <>
      <div className="flex print:hidden min-h-screen flex-col lg:h-screen">
        <header className="flex flex-wrap items-center justify-between gap-x-4 px-5 pt-1">
          <h1 className="sr-only">Fitting: {values.client.label}</h1>
          <p className="flex items-baseline gap-3">
            <a href="/" className="text-xl font-semibold tracking-tight">
              Ropewalk
            </a>
            <span className="text-soft max-2xl:hidden">{studio.name}</span>
          </p>
          <nav className="flex flex-wrap items-center gap-x-4 gap-y-1" aria-label="Views">
            <Places here="/" />
          </nav>
          <div className="flex items-center gap-x-2">
            <WhoIsDressing />
            <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
            <span className="flex">
              <Tool label="Undo (Ctrl + Z)" onPress={undo}>
                <Undo2 aria-hidden className="size-5" />
              </Tool>
              <Tool label="Redo (Ctrl + Shift + Z)" onPress={redo}>
                <Redo2 aria-hidden className="size-5" />
              </Tool>
              <Tool label="Print a card" onPress={() => print()}>
                <Printer aria-hidden className="size-5" />
              </Tool>
              <Tool label="Keys (?)" onPress={() => setKeysOpen(true)}>
                <Keyboard aria-hidden className="size-5" />
              </Tool>
            </span>
          </div>
        </header>
        {outage && <OutageNotice what="What you see is what was read last." />}
        {opened && alive && (
          <Suspense>
            <AsSaved fitting={opened} untouched={untouched} today={chosenNow} units={units} timeZone={studio.timeZone} />
          </Suspense>
        )}
        <div className="flex items-center justify-between gap-x-4 px-5 pb-1.5 max-lg:flex-wrap">
          <Sentence onTurnTo={setPiece} />
          <SaveLine saving={saving} hindrance={hindrance} onSave={save} />
        </div>
        <div className="rope" />

        <div className="grid items-center gap-x-5 border-line px-5 pt-2 pb-1 max-lg:border-b lg:order-last lg:border-t lg:grid-cols-[25rem_minmax(0,1fr)]">
          <StartReadout knot={chosen} gapMm={request.client.crossingGapMm} units={units} stale={stale} />
          <Walk
            id="walk"
            request={request}
            plan={chosen}
            cloth={colours.cloth}
            aspect={walkAspect}
            className={`w-full ${stale ? 'opacity-50' : ''}`}
          >
            <TieHandles request={request} />
          </Walk>
        </div>

        <main className="grid min-h-0 grow gap-x-5 px-5 pt-2 md:grid-cols-2 lg:grid-cols-[14rem_minmax(0,21rem)_minmax(0,1fr)_20.5rem] lg:grid-rows-[minmax(0,1fr)]">
          <MeasureSheet piece={piece} onTurnTo={setPiece} />
          <section aria-label="Front" className={`flex min-h-0 flex-col ${stale ? 'opacity-50' : ''}`}>
            <div className="flex justify-between border-b border-line pb-1">
              <Switch label="Tie" value={stage} choices={stageChoices} onChange={setStage} />
              <ViewSwitch frame={frame} onView={setView} />
            </div>
            <FrontFigure {...drawn} id="front" stage={stage} className="h-[30rem] w-full lg:h-auto lg:min-h-80 lg:grow">
              {stage === 'tied' && values.question.jacket && <LapelMeasure request={request} />}
              <FrontDropHandle request={request} />
            </FrontFigure>
          </section>
          <section aria-label="Collar and knot" className={`flex min-h-0 flex-col ${stale ? 'opacity-50' : ''}`}>
            <CollarCloseUp {...drawn} id="near" className="h-96 w-full lg:h-auto lg:min-h-56 lg:grow">
              <SpreadMeasure request={request} />
            </CollarCloseUp>
            <p className="text-note text-soft">
              <b className="text-set">You set</b> · <b className="text-follows">result</b> · <b className="text-outside">problem</b>
            </p>
            <KnotCaption knot={chosen} advice={plan.advice} isBest={chosen.moves === knots[0]?.moves} onBest={() => choose(null)} />
          </section>
          <KnotRanking
            knots={knots}
            chosen={chosen}
            search={search}
            frame={frame}
            units={units}
            colour={colours.cloth.colours[0] ?? ''}
            onChoose={choose}
            onSearch={setSearch}
          />
        </main>
      </div>
      {alive && (
        <PrintedCard
          values={values}
          title={titleOf(chosen)}
          plan={chosen}
          request={request}
          colours={colours}
          frame={frame}
          studio={studio.name}
        />
      )}
      {keysOpen && (
        <Suspense>
          <KeysDialog onClose={() => setKeysOpen(false)} />
        </Suspense>
      )}
    </>
  );
}

const stageChoices = [
  { key: 'hung', label: 'hung' },
  { key: 'tied', label: 'tied' },
] as const;

function hindranceOf(chosen: KnotPlan | undefined, stale: boolean, faultCount: number): string | undefined {
  if (stale) return faultCount > 1 ? 'Some measures are missing or out of range.' : 'A measure is missing or out of range.';
  if (!chosen?.feasible) return 'This knot won’t work with this tie.';
  return undefined;
}
