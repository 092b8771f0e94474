import { useMemo } from 'react';
import type { Given } from '../../contract/given.ts';
import { formatKnot, frames, parseKnot } from '../../core/index.ts';
import { knotOfCode } from '../../core/knot/code.ts';
import { mannerOf } from '../../core/knot/manners.ts';
import { tyingInWords } from '../../core/knot/steps.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import { dressing } from '../../core/plan/habits.ts';
import { setIn } from '../../core/start/reading.ts';
import { formatLength, roughly } from '../../core/units/length.ts';
import { sayFrame } from '../../drawing/geometry/view.ts';
import { useAsked } from '../atHand/useAtHand.ts';
import { CollarInCloth } from '../seen/CollarInCloth.tsx';
import { TiedInCloth } from '../seen/TiedInCloth.tsx';
import { dimpleOf } from '../seen/useShownCloth.ts';
import { Button, Link } from '../ui/Button.tsx';
import { Moves, MovesKey } from '../ui/Moves.tsx';
import { ReasonList } from '../ui/ReasonList.tsx';
import { useAlive } from '../ui/useAlive.ts';
import { Characteristics } from './Characteristics.tsx';
import { Similar } from './KnotPanel.tsx';
import { KnotsAtHand, useColoursAtHand, useInFitting } from './KnotsAtHand.tsx';
import type { Laying } from './useKnots.ts';

interface KnotPageProps {
  readonly given: Given;
  readonly code: string;
}

/** All there is to know of one knot, for this tie on this collar. */
export function KnotPage({ given, code }: KnotPageProps) {
  const lay = useMemo((): Laying => {
    const knot = knotOfCode(code);
    return knot ? { manner: mannerOf(knot), also: [formatKnot(knot)] } : {};
  }, [code]);
  return (
    <KnotsAtHand given={given} lay={lay}>
      {(knots) => {
        const knot = knots.find((each) => each.code === code);
        return knot ? <About knot={knot} knots={knots} /> : <p className="py-6 text-xl">There is no Knot {code}.</p>;
      }}
    </KnotsAtHand>
  );
}

function About({ knot, knots }: { readonly knot: MappedKnot; readonly knots: readonly MappedKnot[] }) {
  const { values, request, client, frame, state, units } = useAsked();
  const colours = useColoursAtHand();
  const use = useInFitting();
  const alive = useAlive();
  const { plan, title } = knot;
  const others = plan.names.slice(1);
  const { set } = plan.start;
  return (
    <>
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
        {/* It is tied in the browser, so without scripts there is no picture to wait for. */}
        {alive ? <TiedInCloth key={client?.id} shown={{ knot, request, colours }} units={units} dimple={dimpleOf(client)} /> : <div />}
        <div>
          <h1 className="text-4xl leading-tight font-semibold tracking-tight">
            {title}{' '}
            <span className="block text-2xl font-normal tracking-normal text-soft">
              on {values.client.label}, in {values.tie.label}
            </span>
          </h1>
          <div className="flex flex-wrap items-end justify-between gap-4 pt-2">
            {plan.feasible ? (
              <p className="leading-tight text-follows">
                <span className="figures-alone text-6xl">{formatLength(roughly(setIn(plan.start, state), units), units)}</span>
                <span className="block text-note text-soft">
                  {set.end} tip below the collar button, {dressing.readsAt[state].label}, before the first move (exactly{' '}
                  {formatLength(setIn(plan.start, state), units)})
                </span>
              </p>
            ) : (
              <p className="text-3xl text-outside">Won’t work</p>
            )}
            <Button className="text-lg" onClick={() => use(plan.moves)}>
              Use in fitting
            </Button>
          </div>
          <ReasonList reasons={plan.reasons} />
          <h2 className="border-b-2 border-ink pt-3 font-medium">If not this one</h2>
          <Similar knot={knot} knots={knots} onChoose={(code) => location.assign(`/knots/${code}`)} />
          <p>
            <Link href="/knots">Every knot for this tie and collar</Link>
          </p>
        </div>
      </div>
      <div className="grid gap-x-8 gap-y-4 pt-6 lg:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
        <div>
          <h2 className="border-b-2 border-ink font-medium">How to tie it</h2>
          <p className="flex flex-wrap items-baseline gap-x-4 pt-1">
            <Moves of={plan.moves} frame={frame} className="text-xl" />
          </p>
          <MovesKey frame={frame} />
          <ol className="pt-1 text-lg">
            {tyingInWords(parseKnot(plan.moves), frame).map((step, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: the steps are told by their order.
              <li key={i} className="flex break-inside-avoid gap-2 py-0.5">
                <span className="figures w-5 shrink-0 text-right text-soft">{i + 1}</span>
                {step}
              </li>
            ))}
          </ol>
          <p className="pt-1 text-note text-soft">Left and right: {sayFrame(frame)}. Leave one finger’s room at the throat.</p>
        </div>
        <div>
          <h2 className="border-b-2 border-ink font-medium">Measured on the collar</h2>
          <CollarInCloth request={request} view={frame.view} {...colours} id="about" plan={plan} className="h-72 w-full" />
          <details className="pt-3">
            <summary className="flex min-h-9 cursor-pointer items-center border-b border-line font-medium text-set">
              What it is like, whoever wears it
            </summary>
            <Characteristics knot={knot} />
            <p className="pt-1 text-note text-soft">{[...others.map((name) => `Also called ${name}`), `Knot ${knot.code}`].join('. ')}.</p>
          </details>
          <details>
            <summary className="flex min-h-9 cursor-pointer items-center border-b border-line font-medium text-set">
              Moves in each view
            </summary>
            <dl className="grid grid-cols-[1fr_auto] gap-x-3">
              {frames.map((each) => (
                <div key={sayFrame(each)} className="contents">
                  <dt className="text-note leading-7 text-soft">{sayFrame(each)}</dt>
                  <dd className="text-lg">
                    <Moves of={plan.moves} frame={each} />
                  </dd>
                </div>
              ))}
            </dl>
          </details>
        </div>
      </div>
    </>
  );
}
