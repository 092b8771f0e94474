import type { FieldKnot } from '../../core/field/knotField.ts';
import { type Frame, formatKnot, frames, type PlanRequest } from '../../core/index.ts';
import { hardshipsOf } from '../../core/knot/difficulty.ts';
import { parseKnot } from '../../core/knot/parse.ts';
import type { KnotProperties } from '../../core/knot/properties.ts';
import { sayKnot } from '../../core/knot/say.ts';
import { formatLength } from '../../core/units/length.ts';
import { CollarCloseUp } from '../../drawing/wearer/CollarCloseUp.tsx';
import { ReasonList } from '../controls/ReasonList.tsx';
import { drawnOn } from './drawnOn.ts';
import { Neighbours } from './KnotInHand.tsx';
import { type AtHand, WithBench } from './WithBench.tsx';

/** All there is to know of one knot, for this tie on this collar. */
export default function KnotPage({ code }: { readonly code: string }) {
  return (
    <WithBench>
      {(atHand) => {
        const knot = atHand.knots.find((each) => each.code === code);
        return knot ? <About {...atHand} knot={knot} /> : <p className="py-6 text-xl">There is no knot {code} of nine moves or fewer.</p>;
      }}
    </WithBench>
  );
}

function About({ knot, knots, request, values, units, onTake }: AtHand & { readonly knot: FieldKnot }) {
  const { plan, title } = knot;
  const others = plan.names.slice(1);
  return (
    <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_27rem]">
      <div>
        <div className="flex items-start justify-between gap-4">
          <div>
            <h1 className="text-4xl font-semibold tracking-tight">{title}</h1>
            <p className="text-soft">
              {plan.names.length > 0 && [...others.map((name) => `also ${name}`), `number ${knot.code}`].join(', ')}
            </p>
          </div>
          <button
            type="button"
            className="min-h-10 cursor-pointer bg-set px-4 text-lg font-medium text-white hover:bg-ink"
            onClick={() => onTake(plan.moves)}
          >
            To the bench
          </button>
        </div>
        <div className="grid gap-6 pt-2 md:grid-cols-2">
          <CollarCloseUp {...drawnOn(request, values)} id="about" plan={plan} className="h-80 w-full" />
          <div>
            <h2 className="border-b-2 border-ink font-medium">With this tie, on this collar</h2>
            <p className={`figures text-3xl ${plan.feasible ? 'text-follows' : 'text-outside'}`}>
              {plan.feasible ? formatLength(plan.start.tailDropMm, units) : 'cannot be worn'}
            </p>
            {plan.feasible && <p className="text-note text-soft">narrow tip below the collar button, before the first move</p>}
            <ReasonList reasons={plan.reasons} />
          </div>
        </div>
        <h2 className="border-b-2 border-ink pt-4 font-medium">Told as it is tied</h2>
        <Told request={request} word={plan.moves} />
      </div>
      <div>
        <h2 className="border-b-2 border-ink font-medium">Its word in each view</h2>
        <Words word={plan.moves} />
        <h2 className="border-b-2 border-ink pt-4 font-medium">What it is like</h2>
        <Properties of={plan.properties} />
        <h2 className="border-b-2 border-ink pt-4 font-medium">Its neighbours</h2>
        <Neighbours knot={knot} knots={knots} onChoose={(code) => location.assign(`/knots/${code}`)} />
        <p className="pt-3">
          <a className="inline-flex min-h-8 items-center text-set underline" href="/knots">
            All knots
          </a>
        </p>
      </div>
    </div>
  );
}

function Told({ request, word }: { readonly request: PlanRequest; readonly word: string }) {
  const frame: Frame = { view: 'own', blade: request.client.blade };
  return (
    <>
      <ol className="columns-1 gap-8 pt-1 text-lg sm:columns-2">
        {sayKnot(parseKnot(word), frame).map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the steps are told by their order.
          <li key={i} className="flex break-inside-avoid gap-2 py-0.5">
            <span className="figures w-5 shrink-0 text-right text-soft">{i + 1}</span>
            {step}
          </li>
        ))}
      </ol>
      <p className="pt-1 text-note text-soft">
        Left and right as he sees them in his mirror; the blade starts on his {request.client.blade}.
      </p>
    </>
  );
}

function frameName({ view, blade }: Frame): string {
  return `${view === 'own' ? 'in his mirror' : 'facing him'}, blade on his ${blade}`;
}

function Words({ word }: { readonly word: string }) {
  const knot = parseKnot(word);
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-x-3">
      {frames.map((frame) => (
        <div key={frameName(frame)} className="contents">
          <dt className="text-note leading-7 text-soft">{frameName(frame)}</dt>
          <dd className="figures text-lg">{formatKnot(knot, frame)}</dd>
        </div>
      ))}
    </dl>
  );
}

function Properties({ of: properties }: { readonly of: KnotProperties }) {
  const { symmetry, balance, selfReleasing, startSeam, centres } = properties;
  const says = [
    `${properties.moves} moves, ${centres} of them through the throat.`,
    symmetry <= 1
      ? 'As many turns to the left as to the right, to one: it hangs even.'
      : `${symmetry} more turns to one side than to the other: it leans by itself.`,
    balance === 0
      ? 'The hand goes round in one sense throughout.'
      : `The hand turns back ${balance === 1 ? 'once' : `${balance} times`} on its way.`,
    startSeam === 'in' ? 'Starts with the seam inward, as a tie is laid on.' : 'Starts inside out: lay it on with the seam showing.',
    selfReleasing
      ? 'Falls open when the narrow end is drawn out: what is left of the tie runs straight.'
      : 'Does not fall open: when the narrow end is drawn out, an overhand knot is left in the blade, and jams if that is pulled. Undo it by its moves.',
  ];
  return (
    <ul className="space-y-1 pt-1">
      {says.map((text) => (
        <li key={text}>{text}</li>
      ))}
      <li className="text-note text-soft">
        What makes it hard:{' '}
        {hardshipsOf(properties)
          .map(({ text }) => text)
          .join(', ')}
        .
      </li>
    </ul>
  );
}
