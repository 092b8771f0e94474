import { useState } from 'react';
import { type Frame, formatKnot, frames, type KnotShape, type PlanRequest } from '../../core/index.ts';
import { knotOfCode } from '../../core/knot/code.ts';
import { hardshipsOf } from '../../core/knot/difficulty.ts';
import { mannerOf, manners } from '../../core/knot/manners.ts';
import { parseKnot } from '../../core/knot/parse.ts';
import type { KnotProperties } from '../../core/knot/properties.ts';
import { sayKnot } from '../../core/knot/say.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import { endToSet } from '../../core/plan/setting.ts';
import { type LayerPlace, shownLayers } from '../../core/tying/face.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import { CollarInCloth } from '../seen/CollarInCloth.tsx';
import { drawnOn } from '../seen/drawnOn.ts';
import { TiedInCloth } from '../seen/TiedInCloth.tsx';
import { dimpleOf } from '../seen/useShownCloth.ts';
import { ReasonList } from '../ui/ReasonList.tsx';
import { Neighbours } from './KnotPanel.tsx';
import { type KnotsView, WithKnots } from './WithKnots.tsx';

/** All there is to know of one knot, for this tie on this collar. */
export function KnotPage({ code }: { readonly code: string }) {
  const [knotOf] = useState(() => knotOfCode(code));
  return (
    <WithKnots lay={knotOf ? { manner: mannerOf(knotOf), also: [formatKnot(knotOf)] } : {}}>
      {(atHand) => {
        const knot = atHand.knots.find((each) => each.code === code);
        return knot ? <About {...atHand} knot={knot} /> : <p className="py-6 text-xl">There is no knot {code}.</p>;
      }}
    </WithKnots>
  );
}

function About({ knot, knots, request, values, units, client, onTake }: KnotsView & { readonly knot: MappedKnot }) {
  const { plan, title } = knot;
  const others = plan.names.slice(1);
  const toSet = endToSet(plan.start);
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
        <div className="grid gap-6 pt-2 md:grid-cols-[3fr_2fr]">
          <TiedInCloth key={client?.id} knot={knot} request={request} values={values} units={units} dimple={dimpleOf(client)} />
          <div>
            <h2 className="border-b-2 border-ink font-medium">With this tie, on this collar</h2>
            <p className={`figures text-3xl ${plan.feasible ? 'text-follows' : 'text-outside'}`}>
              {plan.feasible ? formatLength(toSet.dropMm, units) : 'cannot be worn'}
            </p>
            {plan.feasible && (
              <p className="text-note text-soft">
                {toSet.name === 'blade' ? 'the blade’s tip' : 'narrow tip'} below the collar button, before the first move
              </p>
            )}
            <ReasonList reasons={plan.reasons} />
          </div>
        </div>
        <div className="grid gap-6 pt-4 md:grid-cols-2">
          <div>
            <h2 className="border-b-2 border-ink font-medium">Told as it is tied</h2>
            <Told request={request} word={plan.moves} />
          </div>
          <div>
            <h2 className="border-b-2 border-ink font-medium">Measured on the collar</h2>
            <CollarInCloth {...drawnOn(request, values)} id="about" plan={plan} className="h-72 w-full" />
          </div>
        </div>
      </div>
      <div>
        <h2 className="border-b-2 border-ink font-medium">Its word in each view</h2>
        <Words word={plan.moves} />
        <h2 className="border-b-2 border-ink pt-4 font-medium">What it is like</h2>
        <Properties knot={knot} request={request} units={units} />
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
  const { active } = parseKnot(word);
  return (
    <>
      <ol className="pt-1 text-lg">
        {sayKnot(parseKnot(word), frame).map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the steps are told by their order.
          <li key={i} className="flex break-inside-avoid gap-2 py-0.5">
            <span className="figures w-5 shrink-0 text-right text-soft">{i + 1}</span>
            {step}
          </li>
        ))}
      </ol>
      <p className="pt-1 text-note text-soft">
        Left and right as he sees them in his mirror; the {active === 'narrow' ? 'narrow end' : 'blade'} starts on his{' '}
        {request.client.blade}.
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

interface PropertiesProps {
  readonly knot: MappedKnot;
  readonly request: PlanRequest;
  readonly units: LengthUnit;
}

function Properties({ knot: { plan }, request, units }: PropertiesProps) {
  const { properties, shape } = plan;
  const { symmetry, balance, startSeam, centres } = properties;
  const says = [
    manners[properties.manner].says,
    `${properties.moves} moves, ${centres} of them through the throat.`,
    symmetry <= 1
      ? 'As many turns to the left as to the right, to one: it hangs even.'
      : `${symmetry} more turns to one side than to the other: it leans by itself.`,
    balance === 0
      ? 'The hand goes round in one sense throughout.'
      : `The hand turns back ${balance === 1 ? 'once' : `${balance} times`} on its way.`,
    startSeam === 'in' ? 'Starts with the seam inward, as a tie is laid on.' : 'Starts inside out: lay it on with the seam showing.',
    undoing(properties),
    `${formatLength(shape.depthMm, units)} deep from the shirt; needs a tie of about ${formatLength(plan.lengthNeededMm, units)} or longer. ${gripWords(plan.gripNeeded)}`,
    faceInWords(plan.moves, shape, request.client.blade),
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

function undoing({ active, selfReleasing }: KnotProperties): string {
  if (active === 'narrow') return 'Undo it by its moves: the blade stood still, and drawing that out drags it through the whole knot.';
  return selfReleasing
    ? 'Falls open when the narrow end is drawn out: what is left of the tie runs straight, and the blade draws out of it.'
    : 'Does not fall open: when the narrow end is drawn out, an overhand knot is left in the blade, and jams when the blade is drawn. Undo it by its moves.';
}

function gripWords(needed: number): string {
  if (needed < 0.3) return 'It holds in any cloth.';
  return needed < 0.6 ? 'It wants a cloth with some grip.' : 'It wants a cloth with texture: smooth ones slip.';
}

/** Which layers show on the face, in words. */
function faceInWords(word: string, shape: KnotShape, blade: Frame['blade']): string {
  const seen = shownLayers(parseKnot(word), shape, blade).filter(({ share }) => share >= 0.02);
  const parts = seen.map(
    ({ place, move, share }) =>
      `${layerNames[place]} ${place === 'throat' || place === 'panel' ? '' : `of move ${move} `}(${Math.round(share * 100)} %)`,
  );
  return `On its face shows ${parts.join(', ')}.`;
}

const layerNames: Readonly<Record<LayerPlace, string>> = {
  band: 'the band',
  'left shoulder': 'his left shoulder’s turn',
  'right shoulder': 'his right shoulder’s turn',
  throat: 'the end on its way to the tuck',
  panel: 'the panel',
};
