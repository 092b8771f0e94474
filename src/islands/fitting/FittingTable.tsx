import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import { type KnotPlan, plan as planFor } from '../../core/index.ts';
import { setIn, states } from '../../core/start/reading.ts';
import { formatLength, roughly } from '../../core/units/length.ts';
import { viewLabels } from '../../drawing/geometry/view.ts';
import { type PieceCode, pieces } from '../atHand/pieces.ts';
import { Sentence } from '../atHand/Sentence.tsx';
import { useAsked } from '../atHand/useAtHand.ts';
import { usePreferences } from '../device/preferences.tsx';
import { type ShortcutActions, useShortcuts } from '../device/shortcuts.ts';
import { drawnColours } from '../seen/dressed.ts';
import { useKnotInCloth } from '../seen/useKnotPictures.ts';
import { useSteps } from '../ui/entryStore.ts';
import { Loading } from '../ui/Loading.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { OwnTurn } from '../ui/OwnTurn.tsx';
import { useAlive } from '../ui/useAlive.ts';
import { usePrinting } from '../ui/usePrinting.ts';
import { useKnotTitle } from '../wire/useKnotTitles.ts';
import { ChooseStage } from './choose/ChooseStage.tsx';
import type { DrawnFitting } from './FittingDrawn.tsx';
import { FittingHeader } from './FittingHeader.tsx';
import { SaveLine } from './SaveLine.tsx';
import { StagePath } from './StagePath.tsx';
import { PrintedCard } from './set/PrintedCard.tsx';
import { SetStage } from './set/SetStage.tsx';
import { type StageCode, stages, useStage } from './stages.ts';
import { Unchecked } from './Unchecked.tsx';
import { useSaving } from './useSaving.ts';

const AsSaved = lazy(() => import('./AsSaved.tsx').then(({ AsSaved: Said }) => ({ default: Said })));
const CommandPalette = lazy(() => import('./CommandPalette.tsx').then(({ CommandPalette: Palette }) => ({ default: Palette })));
const CheckStage = lazy(() => import('./check/CheckStage.tsx').then(({ CheckStage: Stage }) => ({ default: Stage })));
const PrintedWardrobe = lazy(() => import('./choose/PrintedWardrobe.tsx').then(({ PrintedWardrobe: Card }) => ({ default: Card })));
const TieStage = lazy(() => import('./tie/TieStage.tsx').then(({ TieStage: Stage }) => ({ default: Stage })));
const KeysDialog = lazy(() => import('../ui/KeysDialog.tsx').then(({ KeysDialog: Dialog }) => ({ default: Dialog })));

/** A fitting at work: its stages, everything that is set in them, and all that follows from it, at once. */
export function FittingTable({ begin }: { readonly begin: StageCode }) {
  const {
    store,
    values,
    studio,
    units,
    setUnits,
    frame,
    setView,
    state,
    question,
    request,
    stale,
    faults,
    opened,
    untouched,
    outage,
    asSaved,
    savedHere,
    sayAddress,
  } = useAsked();
  const plan = useMemo(() => planFor(question), [question]);
  const { undo, redo } = useSteps(store);
  const saving = useSaving(values, savedHere, opened);
  const titleOf = useKnotTitle();
  const alive = useAlive();
  const printing = usePrinting();
  const [stage, go] = useStage(begin, sayAddress);
  const [piece, setPiece] = useState<PieceCode>('client');
  const [keysOpen, setKeysOpen] = useState(false);
  const [commanding, setCommanding] = useState(false);
  const { preferences, prefer } = usePreferences();

  const colours = useMemo(() => drawnColours(request, values.colours), [request, values.colours]);
  const { knots } = plan;
  const chosenNow = knots.find(({ moves }) => moves === values.knot) ?? knots[0];
  // A saved fitting shows the answer it was saved with until something is changed.
  const chosen = asSaved?.answer ?? chosenNow;
  const picture = useKnotInCloth(chosen?.moves, colours.cloth);
  const { view } = frame;
  const drawn = useMemo(
    (): DrawnFitting | undefined =>
      chosen && { request: asSaved ? { ...asSaved.request, units } : request, plan: chosen, view, picture, colours },
    [asSaved, units, request, chosen, view, picture, colours],
  );
  const hindrance = opened && untouched ? 'This fitting is saved.' : hindranceOf(chosen, stale, faults.length);

  const choose = useCallback((moves: string | null) => store.set('knot', moves), [store]);
  const openCommands = useCallback(() => setCommanding(true), []);
  const openKeys = useCallback(() => setKeysOpen(true), []);
  const step = (by: number) => {
    const at = knots.findIndex(({ moves }) => moves === chosenNow?.moves);
    const next = knots[at + by];
    if (next) choose(next.moves);
  };
  const { search } = values.question;
  const save = () => {
    if (chosen && !hindrance && saving.state.kind !== 'saved') saving.save(values, question, chosen.moves);
  };
  const turnTo = (to: PieceCode) => {
    setPiece(to);
    go('choose');
  };
  const actions: ShortcutActions = {
    save,
    undo: () => undo?.(),
    redo: () => redo?.(),
    nextKnot: () => step(1),
    previousKnot: () => step(-1),
    allKnots: () => store.set('question.search', { ...search, knots: search.knots === 'all' ? 'named' : 'all' }),
    view: () => setView(view === 'facing' ? 'own' : 'facing'),
    units: () => setUnits(units === 'cm' ? 'in' : 'cm'),
    light: () => prefer({ light: preferences.light === 'dark' ? 'day' : 'dark' }),
    figures: () => prefer({ figures: preferences.figures === 'big' ? 'usual' : 'big' }),
    command: openCommands,
    help: openKeys,
    ...Object.fromEntries(stages.map((each) => [each === 'tie' ? 'tieIt' : each, () => go(each)])),
    ...Object.fromEntries(pieces.map((each) => [each, () => turnTo(each)])),
  };
  useShortcuts(actions);

  if (!chosen || !drawn) return <p className="p-8 text-xl">No knot can be planned for these measures.</p>;

  const { set } = chosen.start;
  const settled: Readonly<Record<StageCode, string>> = {
    choose: titleOf(chosen),
    set: chosen.feasible
      ? `${set.end} tip ${formatLength(roughly(setIn(chosen.start, state), units), units)}, ${states[state].short}`
      : 'won’t work',
    tie: `${chosen.properties.moves} moves, ${viewLabels[view].name}`,
    check: asSaved ? 'saved' : 'not saved yet',
  };
  return (
    <>
      <div className="flex min-h-screen flex-col lg:h-screen print:hidden">
        <FittingHeader onCommand={openCommands} onKeys={openKeys} />
        {outage && <OutageNotice what="What you see is what was read last." />}
        {opened && alive && (
          <Suspense>
            <AsSaved fitting={opened} untouched={untouched} today={chosenNow} units={units} timeZone={studio.timeZone} />
          </Suspense>
        )}
        {!opened && <Unchecked />}
        <div className="px-5">
          <OwnTurn>
            <Sentence onTurnTo={setPiece} />
          </OwnTurn>
        </div>
        <div className="flex items-center justify-between gap-x-4 px-5 pb-1">
          <StagePath stage={stage} settled={settled} onGo={go} />
          {stage !== 'check' && <SaveLine saving={saving} hindrance={hindrance} onSave={save} />}
        </div>
        <div className="rope" />
        {stage === 'choose' && (
          <ChooseStage
            drawn={drawn}
            titleOf={titleOf}
            knots={knots}
            advice={plan.advice}
            piece={piece}
            onPiece={setPiece}
            onChoose={choose}
          />
        )}
        {stage === 'set' && <SetStage drawn={drawn} />}
        {(stage === 'tie' || stage === 'check') && !alive && <Loading />}
        {alive && (
          <Suspense fallback={<Loading />}>
            {stage === 'tie' && <TieStage key={chosen.moves} drawn={drawn} />}
            {stage === 'check' && <CheckStage drawn={drawn} saving={saving} hindrance={hindrance} onGo={go} />}
          </Suspense>
        )}
      </div>
      {alive && values.given === 'outfit' && (
        <Suspense>
          <PrintedWardrobe />
        </Suspense>
      )}
      {printing && values.given !== 'outfit' && (
        <PrintedCard
          values={values}
          title={titleOf(chosen)}
          plan={chosen}
          request={request}
          colours={colours}
          frame={frame}
          state={state}
          studio={studio.name}
        />
      )}
      {commanding && (
        <Suspense>
          <CommandPalette knots={knots} actions={actions} onChoose={choose} onClose={() => setCommanding(false)} />
        </Suspense>
      )}
      {keysOpen && (
        <Suspense>
          <KeysDialog onClose={() => setKeysOpen(false)} />
        </Suspense>
      )}
    </>
  );
}

function hindranceOf(chosen: KnotPlan | undefined, stale: boolean, faultCount: number): string | undefined {
  if (stale) return faultCount > 1 ? 'Some measures are missing or out of range.' : 'A measure is missing or out of range.';
  if (!chosen?.feasible) return 'This knot won’t work with this tie.';
  return undefined;
}
