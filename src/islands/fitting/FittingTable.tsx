import { Keyboard, Printer, Redo2, Undo2 } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { Fitting } from '../../contract/fitting.ts';
import type { Wardrobe } from '../../contract/records/records.ts';
import type { Frame, KnotPlan } from '../../core/index.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { type View, viewLabels } from '../../drawing/geometry/view.ts';
import { Walk } from '../../drawing/walk/Walk.tsx';
import { CollarCloseUp } from '../../drawing/wearer/CollarCloseUp.tsx';
import { FrontFigure } from '../../drawing/wearer/FrontFigure.tsx';
import { keepBench } from '../atHand/kept.ts';
import { groups, type PieceCode } from '../atHand/pieces.ts';
import { Sentence } from '../atHand/Sentence.tsx';
import { useWorkedPlan } from '../atHand/useWorkedPlan.ts';
import { type AtHand, freshAtHand } from '../atHand/values.ts';
import { usePlainKeys, useShortcuts } from '../device/shortcuts.ts';
import { unitChoices, useUnits } from '../device/useUnits.ts';
import { useHistory } from '../records/form/useHistory.ts';
import { useKnotInCloth } from '../seen/useKnotPictures.ts';
import { Faults } from '../ui/faults.ts';
import { KeysDialog } from '../ui/KeysDialog.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { Places } from '../ui/Places.tsx';
import { Switch } from '../ui/Switch.tsx';
import { Tool } from '../ui/Tool.tsx';
import { useWardrobe } from '../wire/useWardrobe.ts';
import { AsSaved } from './AsSaved.tsx';
import { KnotCaption } from './choose/KnotCaption.tsx';
import { KnotRanking } from './choose/KnotRanking.tsx';
import { FrontDropHandle, LapelHandle, SpreadHandle, TieHandles } from './handles.tsx';
import { MeasureSheet } from './MeasureSheet.tsx';
import { SaveLine } from './SaveLine.tsx';
import { PrintedCard } from './set/PrintedCard.tsx';
import { StartReadout } from './set/StartReadout.tsx';
import { useSaving } from './useSaving.ts';

interface FittingTableProps {
  readonly initial: AtHand;
  readonly wardrobe: Wardrobe;
  readonly outage: boolean;
  readonly opened?: Fitting;
}

/** Height over width of the walk's strip. */
const walkAspect = 0.175;

/** The bench at work: everything that is set, and all that follows from it, at once. */
export function FittingTable({ initial, wardrobe: first, outage, opened }: FittingTableProps) {
  const form = useForm<AtHand>({ defaultValues: initial });
  const values = form.watch();
  const wardrobe = useWardrobe(values.client.id, first);
  const [units, setUnits] = useUnits(wardrobe.client?.units ?? wardrobe.studio.units);
  const { worked, stale, faults } = useWorkedPlan(values.question, units, () => freshAtHand(wardrobe).question);
  const history = useHistory(form, values);
  const saving = useSaving(values);
  const [group, setGroup] = useState<PieceCode>('client');
  const [view, setView] = useState<View>('facing');
  const [stage, setStage] = useState<'hung' | 'tied'>('tied');
  const [keysOpen, setKeysOpen] = useState(false);
  const [plainKeys, setPlainKeys] = usePlainKeys();

  const opening = useRef(JSON.stringify(initial));
  const untouched = JSON.stringify(values) === opening.current;
  const now = JSON.stringify(values);
  useEffect(() => {
    if (!opened || !untouched) keepBench(JSON.parse(now) as AtHand);
  }, [now, opened, untouched]);

  const cloth = useMemo<FabricLook>(
    () => ({ fabric: values.question.tie.fabric, pattern: values.question.tie.pattern, colours: values.cloth.tie }),
    [values.question.tie.fabric, values.question.tie.pattern, values.cloth.tie],
  );

  const knots = worked?.plan.knots ?? [];
  const chosenNow = knots.find(({ moves }) => moves === values.knot) ?? knots[0];
  // A saved fitting shows the answer it was saved with until something is changed.
  const asSaved = opened && untouched ? opened.answer : undefined;
  const chosen = asSaved ?? chosenNow;
  const picture = useKnotInCloth(chosen?.moves, cloth);
  const hindrance = asSaved ? 'This fitting is saved already.' : hindranceOf(chosen, stale, faults.length);

  const choose = (word: string) => form.setValue('knot', word);
  const step = (by: number) => {
    const at = knots.findIndex(({ moves }) => moves === chosenNow?.moves);
    const next = knots[at + by];
    if (next) choose(next.moves);
  };
  const { taste } = values.question;
  const setTaste = (changed: Partial<typeof taste>) => form.setValue('question.taste', { ...taste, ...changed });
  const save = () => {
    if (worked && chosen && !hindrance && saving.state.kind !== 'saved') saving.save(values, worked, chosen.moves);
  };
  useShortcuts(
    {
      save,
      undo: () => history.undo?.(),
      redo: () => history.redo?.(),
      nextKnot: () => step(1),
      previousKnot: () => step(-1),
      allKnots: () => setTaste({ knots: taste.knots === 'all' ? 'named' : 'all' }),
      stage: () => setStage(stage === 'tied' ? 'hung' : 'tied'),
      view: () => setView(view === 'facing' ? 'own' : 'facing'),
      units: () => setUnits(units === 'cm' ? 'in' : 'cm'),
      help: () => setKeysOpen(true),
      ...Object.fromEntries(groups.map((each) => [each, () => setGroup(each)])),
    },
    plainKeys,
  );

  if (!worked || !chosen)
    return <p className="p-8 text-xl">These measures cannot be reckoned with: {faults.map(({ message }) => message).join(' ')}</p>;

  const { request, plan } = worked;
  const frame: Frame = { view, blade: request.client.blade };
  const drawn = {
    request,
    plan: chosen,
    view,
    cloth,
    picture,
    shirtColour: values.cloth.shirt,
    jacketColour: request.jacket ? (values.cloth.jacket ?? '#5a626b') : null,
  };

  return (
    <FormProvider {...form}>
      <Faults value={faults}>
        <div className="flex print:hidden min-h-screen flex-col lg:h-screen">
          <header className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 px-5 pt-2">
            <h1 className="sr-only">Bench: {values.client.label}</h1>
            <p className="flex items-baseline gap-3">
              <a href="/" className="text-2xl font-semibold tracking-tight">
                Ropewalk
              </a>
              <span className="text-soft max-2xl:hidden">{wardrobe.studio.name}</span>
            </p>
            <nav className="flex flex-wrap items-center gap-x-4 gap-y-1" aria-label="Bench">
              <Places here="/" />
              <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
              <span className="flex">
                <Tool label="Undo (Ctrl + Z)" onPress={history.undo}>
                  <Undo2 aria-hidden className="size-5" />
                </Tool>
                <Tool label="Redo (Ctrl + Shift + Z)" onPress={history.redo}>
                  <Redo2 aria-hidden className="size-5" />
                </Tool>
                <Tool label="Print a card" onPress={() => print()}>
                  <Printer aria-hidden className="size-5" />
                </Tool>
                <Tool label="Keys (?)" onPress={() => setKeysOpen(true)}>
                  <Keyboard aria-hidden className="size-5" />
                </Tool>
              </span>
              <SaveLine saving={saving} hindrance={hindrance} onSave={save} />
            </nav>
          </header>
          {outage && <OutageNotice what="What you see is what was read last." />}
          {opened && <AsSaved fitting={opened} untouched={untouched} today={chosenNow} units={units} />}
          <div className="px-5 pt-1 pb-2">
            <Sentence wardrobe={wardrobe} values={values} onTurnTo={setGroup} />
          </div>
          <div className="rope" />

          <div className="grid items-center gap-x-5 border-line px-5 pt-2 pb-1 max-lg:border-b lg:order-last lg:border-t lg:grid-cols-[25rem_minmax(0,1fr)]">
            <StartReadout knot={chosen} units={units} stale={stale} />
            <Walk
              id="walk"
              request={request}
              plan={chosen}
              cloth={cloth}
              aspect={walkAspect}
              className={`w-full ${stale ? 'opacity-50' : ''}`}
            >
              <TieHandles request={request} />
            </Walk>
          </div>

          <main className="grid min-h-0 grow gap-x-5 px-5 pt-2 md:grid-cols-2 lg:grid-cols-[14rem_minmax(0,21rem)_minmax(0,1fr)_20.5rem] lg:grid-rows-[minmax(0,1fr)]">
            <MeasureSheet
              group={group}
              onTurnTo={setGroup}
              values={values}
              units={units}
              wardrobe={wardrobe}
              request={request}
              faulty={new Set(groups.filter((each) => faults.some(({ path }) => path.startsWith(`question.${each}`))))}
            />
            <section aria-label="Front" className={`flex min-h-0 flex-col ${stale ? 'opacity-50' : ''}`}>
              <div className="flex justify-between border-b border-line pb-1">
                <Switch label="Figure" value={stage} choices={stageChoices} onChange={setStage} />
                <Switch label="View" value={view} choices={viewChoices} onChange={setView} />
              </div>
              <FrontFigure {...drawn} id="front" stage={stage} className="h-[30rem] w-full lg:h-auto lg:min-h-80 lg:grow">
                {stage === 'tied' && values.question.jacket && <LapelHandle request={request} />}
                <FrontDropHandle request={request} />
              </FrontFigure>
            </section>
            <section aria-label="Collar and knot" className={`flex min-h-0 flex-col ${stale ? 'opacity-50' : ''}`}>
              <CollarCloseUp {...drawn} id="near" className="h-96 w-full lg:h-auto lg:min-h-56 lg:grow">
                <SpreadHandle request={request} />
              </CollarCloseUp>
              <KnotCaption
                knot={chosen}
                advice={plan.advice}
                isFirstPick={chosen.moves === knots[0]?.moves}
                onFirstPick={() => form.setValue('knot', null)}
              />
            </section>
            <KnotRanking
              knots={knots}
              chosen={chosen}
              taste={taste}
              frame={frame}
              units={units}
              colour={values.cloth.tie[0] ?? '#888888'}
              onChoose={choose}
              onTaste={setTaste}
            />
          </main>
        </div>
        <PrintedCard values={values} drawn={drawn} frame={frame} units={units} studio={wardrobe.studio.name} />
        <KeysDialog isOpen={keysOpen} onOpenChange={setKeysOpen} plainKeys={plainKeys} onPlainKeys={setPlainKeys} />
      </Faults>
    </FormProvider>
  );
}

const stageChoices = [
  { key: 'hung', label: 'hung' },
  { key: 'tied', label: 'tied' },
] as const;
const viewChoices = (Object.keys(viewLabels) as View[]).map((key) => ({ key, label: key === 'facing' ? 'facing' : 'mirror' }));

function hindranceOf(chosen: KnotPlan | undefined, stale: boolean, faultCount: number): string | undefined {
  if (stale) return `${faultCount === 1 ? 'A measure is' : 'Some measures are'} not right yet.`;
  if (!chosen?.feasible) return 'This knot cannot be worn with this tie.';
  return undefined;
}
