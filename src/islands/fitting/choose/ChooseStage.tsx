import { lazy, Suspense, useState } from 'react';
import type { Advice, KnotPlan } from '../../../core/index.ts';
import type { PieceCode } from '../../atHand/pieces.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { type GivenCode, withKnot } from '../../atHand/values.ts';
import { Button } from '../../ui/Button.tsx';
import { Loading } from '../../ui/Loading.tsx';
import { ViewSwitch } from '../../ui/Moves.tsx';
import { OwnTurn } from '../../ui/OwnTurn.tsx';
import { Switch } from '../../ui/Switch.tsx';
import { useAlive } from '../../ui/useAlive.ts';
import type { TitleOf } from '../../wire/useKnotTitles.ts';
import type { DrawnFitting } from '../FittingDrawn.tsx';
import { FrontDrawn } from '../FittingDrawn.tsx';
import { FrontDropHandle, LapelMeasure } from '../handles.tsx';
import { MeasureSheet } from '../MeasureSheet.tsx';
import { Bolder } from './Bolder.tsx';
import { firstBeside } from './beside/firstBeside.ts';
import { CollarInHand } from './CollarInHand.tsx';
import { placeOf } from './families.ts';
import { HowSure } from './HowSure.tsx';
import { KnotInHand } from './KnotInHand.tsx';
import { KnotRanking } from './KnotRanking.tsx';

const TiesGiven = lazy(() => import('./TiesGiven.tsx').then(({ TiesGiven: List }) => ({ default: List })));
const SideBySide = lazy(() => import('./beside/SideBySide.tsx').then(({ SideBySide: Pair }) => ({ default: Pair })));

interface ChooseStageProps {
  readonly drawn: DrawnFitting;
  readonly titleOf: TitleOf;
  /** Best first. */
  readonly knots: readonly KnotPlan[];
  readonly advice: readonly Advice[];
  readonly piece: PieceCode;
  readonly onPiece: (piece: PieceCode) => void;
  readonly onChoose: (moves: string | null) => void;
}

const givenChoices: readonly { readonly key: GivenCode; readonly label: string }[] = [
  { key: 'tie', label: 'this tie' },
  { key: 'knot', label: 'this knot' },
  { key: 'outfit', label: 'the outfit' },
];

/** Side sheets that a tablet shows one at a time. */
type Drawer = 'none' | 'knots' | 'measures';

/** The tie is in one hand and the collar in sight: which knot, why, and what it looks like there. */
export function ChooseStage({ drawn, titleOf, knots, advice, piece, onPiece, onChoose }: ChooseStageProps) {
  const { request, plan, colours } = drawn;
  const { store, values, wardrobe, frame, setView, units, stale } = useAsked();
  /** A knot that is held is the one in hand, and is looked at whatever else is asked for. */
  const give = (given: GivenCode) =>
    store.change((now) => (given === 'knot' ? { ...withKnot(now, plan.moves), given } : { ...now, given }));
  const alive = useAlive();
  const [drawer, setDrawer] = useState<Drawer>('none');
  const turn = (to: Drawer) => setDrawer(drawer === to ? 'none' : to);
  const faded = stale ? 'opacity-50' : '';
  const side = (which: Drawer) => (drawer === which ? 'lg:max-xl:flex' : 'lg:max-xl:hidden');
  return (
    <main className="fills grid min-h-0 grow gap-x-5 px-5 pt-2 md:grid-cols-2 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)_auto] lg:grid-rows-[minmax(0,1fr)] xl:grid-cols-[13.5rem_16rem_minmax(0,1fr)_23rem] min-[105rem]:grid-cols-[16rem_30rem_minmax(0,1fr)_27rem]">
      <div className={`flex min-h-0 flex-col max-lg:order-4 lg:max-xl:order-3 lg:max-xl:w-72 ${side('measures')}`}>
        <OwnTurn>
          <MeasureSheet piece={piece} onTurnTo={onPiece} />
        </OwnTurn>
      </div>
      {values.beside ? (
        <div className="flex min-h-0 flex-col lg:col-span-2">
          {alive && (
            <Suspense fallback={<Loading />}>
              <SideBySide beside={values.beside} drawn={drawn} knots={knots} onClose={() => store.set('beside', null)} />
            </Suspense>
          )}
        </div>
      ) : (
        <>
          <section aria-label="Front" className={`flex min-h-0 flex-col max-lg:order-2 ${faded}`}>
            <div className="flex justify-between border-b border-line pb-1">
              <ViewSwitch frame={frame} onView={setView} />
            </div>
            <OwnTurn>
              <FrontDrawn drawn={drawn} className="overflow-visible h-[30rem] lg:min-h-60">
                {request.jacket && <LapelMeasure request={request} />}
                <FrontDropHandle request={request} />
              </FrontDrawn>
            </OwnTurn>
            <div className="hidden gap-2 pb-2 lg:max-xl:flex">
              <Button look="other" aria-expanded={drawer === 'knots'} onClick={() => turn('knots')}>
                Knots ({knots.length})
              </Button>
              <Button look="other" aria-expanded={drawer === 'measures'} onClick={() => turn('measures')}>
                Measures
              </Button>
            </div>
          </section>
          <section aria-label="Collar and knot" className={`flex min-h-0 flex-col max-lg:order-1 ${faded}`}>
            <OwnTurn>
              <KnotInHand
                knot={plan}
                title={titleOf(plan)}
                advice={advice}
                place={placeOf(plan, knots)}
                frame={frame}
                onBest={() => onChoose(null)}
                onBeside={() => store.set('beside', firstBeside('knot', values, wardrobe, knots, plan.moves))}
              >
                <CollarInHand drawn={drawn} />
                <Bolder knots={knots} chosen={plan} units={units} onChoose={onChoose} />
              </KnotInHand>
            </OwnTurn>
          </section>
        </>
      )}
      <div className={`flex min-h-0 flex-col max-lg:order-3 lg:max-xl:w-80 ${side('knots')}`}>
        <div className="flex items-baseline gap-x-2">
          <span aria-hidden className="text-note text-soft">
            Given
          </span>
          <Switch label="Given" small value={values.given} choices={givenChoices} onChange={give} />
          <span className="text-note text-soft">find {values.given === 'tie' ? 'the knot' : 'the tie'}</span>
        </div>
        {values.given === 'tie' && (
          <OwnTurn>
            <KnotRanking
              titleOf={titleOf}
              knots={knots}
              chosen={plan}
              units={units}
              colour={colours.cloth.colours[0] ?? ''}
              onChoose={onChoose}
            />
          </OwnTurn>
        )}
        {values.given !== 'tie' &&
          (alive ? (
            <Suspense fallback={<Loading />}>
              <TiesGiven {...(values.given === 'knot' && { knot: plan.moves })} />
            </Suspense>
          ) : (
            <Loading />
          ))}
        {values.given === 'tie' && <HowSure />}
      </div>
    </main>
  );
}
