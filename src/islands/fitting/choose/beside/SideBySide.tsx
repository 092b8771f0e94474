import { lazy, Suspense, useMemo, useState } from 'react';
import { completeRequest, type KnotPlan, type PlanQuestion } from '../../../../core/index.ts';
import { planKnot } from '../../../../core/plan/plan.ts';
import { type Variant, variantDifferences } from '../../../../core/plan/variants.ts';
import { setIn } from '../../../../core/start/reading.ts';
import { formatFigure, roughly, unitLabel } from '../../../../core/units/length.ts';
import { besideOf } from '../../../atHand/beside.ts';
import type { Beside, BesidePiece } from '../../../atHand/pieces.ts';
import { soundQuestion } from '../../../atHand/question.ts';
import { useAsked } from '../../../atHand/useAtHand.ts';
import type { AtHand } from '../../../atHand/values.ts';
import { drawnColours } from '../../../seen/dressed.ts';
import { useKnotInCloth } from '../../../seen/useKnotPictures.ts';
import { Button } from '../../../ui/Button.tsx';
import { Switch } from '../../../ui/Switch.tsx';
import { useKnotTitle } from '../../../wire/useKnotTitles.ts';
import { CollarDrawn, type DrawnFitting } from '../../FittingDrawn.tsx';
import { familiesOf } from '../families.ts';
import { firstBeside } from './firstBeside.ts';

const TurnedPair = lazy(() => import('./TurnedPair.tsx').then(({ TurnedPair: Pair }) => ({ default: Pair })));

interface SideBySideProps {
  readonly beside: Beside;
  /** The fitting at hand. */
  readonly drawn: DrawnFitting;
  readonly knots: readonly KnotPlan[];
  readonly onClose: () => void;
}

const pieceChoices: readonly { readonly key: BesidePiece; readonly label: string }[] = [
  { key: 'knot', label: 'another knot' },
  { key: 'tie', label: 'another tie' },
  { key: 'shirt', label: 'another shirt' },
];

/** Two ties, shirts or knots on the same client, both collars in sight, and what differs in words. */
export function SideBySide({ beside, drawn, knots, onClose }: SideBySideProps) {
  const { store, values, wardrobe, units } = useAsked();
  const other = useMemo(() => besideOf(values, beside, wardrobe), [values, beside, wardrobe]);
  const put = (next: Beside) => store.set('beside', next);
  const titleOf = useKnotTitle();
  const offered = useMemo(
    (): readonly (readonly [id: string, label: string])[] =>
      beside.piece === 'knot'
        ? familiesOf(knots).map(({ first }) => [first.moves, titleOf(first)])
        : wardrobe[beside.piece === 'tie' ? 'ties' : 'shirts'].map(({ id, label }) => [id, label]),
    [beside.piece, knots, wardrobe, titleOf],
  );
  const question = useMemo(() => other && soundQuestion(other.question, units), [other, units]);
  return (
    <section aria-label="Side by side" className="flex min-h-0 flex-col overflow-y-auto">
      <div className="flex flex-wrap items-center gap-x-4 border-b border-line pb-1">
        <h2 className="text-2xl font-semibold">Side by side</h2>
        <Switch
          label="Compared with"
          value={beside.piece}
          choices={pieceChoices}
          onChange={(piece) => put(firstBeside(piece, values, wardrobe, knots, drawn.plan.moves))}
        />
        <select
          aria-label="What stands beside"
          className="h-9 min-w-0 grow border-b-2 border-set/40 bg-transparent text-lg text-set"
          value={beside.id}
          onChange={({ target }) => put({ piece: beside.piece, id: target.value })}
        >
          {!offered.some(([id]) => id === beside.id) && <option value={beside.id}>choose one</option>}
          {offered.map(([id, label]) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </select>
        <Button look="other" onClick={onClose}>
          Close
        </Button>
      </div>
      {other && question ? (
        <Pair
          here={drawn}
          other={other}
          question={question}
          piece={beside.piece}
          onTake={() => store.change(() => ({ ...other, beside: null }))}
        />
      ) : (
        <p className="py-4 text-lg">
          {beside.id === ''
            ? `There is no other ${beside.piece} to put beside it yet.`
            : 'What stood beside it is no longer in the records. Choose another.'}
        </p>
      )}
    </section>
  );
}

interface PairProps {
  readonly here: DrawnFitting;
  readonly other: AtHand;
  readonly question: PlanQuestion;
  readonly piece: BesidePiece;
  readonly onTake: () => void;
}

function Pair({ here, other, question, piece, onTake }: PairProps) {
  const { values, state, units } = useAsked();
  const titleOf = useKnotTitle();
  const [turned, setTurned] = useState(false);
  // Another tie or shirt is looked at with the knot in hand, so that what differs is the piece.
  const moves = piece === 'knot' ? (other.knot ?? here.plan.moves) : here.plan.moves;
  const plan = useMemo(() => planKnot(question, moves), [question, moves]);
  const request = useMemo(() => completeRequest(question), [question]);
  const colours = useMemo(() => drawnColours(request, other.colours), [request, other.colours]);
  const picture = useKnotInCloth(moves, colours.cloth);
  const there: DrawnFitting = { request, plan, view: here.view, picture, colours };
  const variant = ({ plan: its, request: { tie } }: DrawnFitting): Variant => ({ plan: its, tie });
  const differs = variantDifferences(variant(there), variant(here), units);
  const labels: Readonly<Record<BesidePiece, readonly [string, string]>> = {
    knot: [titleOf(here.plan), titleOf(plan)],
    tie: [values.tie.label, other.tie.label],
    shirt: [values.shirt.label, other.shirt.label],
  };
  const [hereLabel, thereLabel] = labels[piece];
  return (
    <>
      <div className="grid grid-cols-2 gap-x-5">
        {(
          [
            { id: 'beside-here', label: hereLabel, drawn: here },
            { id: 'beside-there', label: thereLabel, drawn: there },
          ] as const
        ).map(({ id, label, drawn }) => (
          <figure key={id} className="min-w-0">
            <figcaption className="flex min-h-14 items-end justify-between gap-3 pb-1">
              <span className="text-xl leading-tight font-medium">{label}</span>
              {drawn.plan.feasible ? (
                <span className="figures shrink-0 text-2xl text-follows">
                  {formatFigure(roughly(setIn(drawn.plan.start, state), units), units)}{' '}
                  <span className="text-base">{unitLabel(units)}</span>
                </span>
              ) : (
                <span className="text-outside">won’t work</span>
              )}
            </figcaption>
            <CollarDrawn id={id} drawn={drawn} className="h-64" />
          </figure>
        ))}
      </div>
      <div className="grid grid-cols-2 gap-x-5 pt-2">
        <div>
          {turned ? null : (
            <Button look="other" onClick={() => setTurned(true)}>
              Turn both in cloth
            </Button>
          )}
          <p className="pt-1 text-note text-soft">
            Both with the {titleOf(piece === 'knot' ? here.plan : plan)}
            {piece === 'knot' ? ` and the ${titleOf(plan)}` : ''}, on the same client.
          </p>
        </div>
        <div>
          <h3 className="font-medium">Compared with {hereLabel}</h3>
          {differs.length === 0 ? (
            <p className="text-soft">No difference that could be seen.</p>
          ) : (
            <ul className="list-disc pl-5 leading-snug">
              {differs.map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ul>
          )}
          <Button className="mt-2" onClick={onTake}>
            Use {thereLabel}
          </Button>
        </div>
      </div>
      {turned && (
        <Suspense fallback={<p className="py-4 text-soft">Loading…</p>}>
          <TurnedPair here={here} there={there} />
        </Suspense>
      )}
    </>
  );
}
