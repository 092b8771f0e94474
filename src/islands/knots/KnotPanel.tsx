import type { PlanRequest } from '../../core/index.ts';
import { hardshipsOf } from '../../core/knot/difficulty.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import { similarTo } from '../../core/knotMap/similar.ts';
import { endToSet } from '../../core/plan/setting.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import type { AtHand } from '../atHand/values.ts';
import { CollarInCloth } from '../seen/CollarInCloth.tsx';
import { drawnOn } from '../seen/drawnOn.ts';

interface KnotPanelProps {
  readonly knot: MappedKnot;
  readonly knots: readonly MappedKnot[];
  readonly request: PlanRequest;
  readonly values: AtHand;
  readonly units: LengthUnit;
  /** Knots laid aside to be compared. */
  readonly tray: readonly string[];
  readonly onTray: (codes: readonly string[]) => void;
  readonly onChoose: (code: string) => void;
  readonly onTake: (word: string) => void;
}

const mostCompared = 4;

/** The knot that is looked at: on this collar, with one step to its neighbours. */
export function KnotPanel({ knot, knots, request, values, units, tray, onTray, onChoose, onTake }: KnotPanelProps) {
  const { plan, title, difficulty } = knot;
  const toSet = endToSet(plan.start);
  const inTray = tray.includes(knot.code);
  return (
    <section aria-label="The knot looked at">
      <h2 className="text-2xl leading-tight font-semibold">
        <a className="hover:underline" href={`/knots/${knot.code}`}>
          {title}
        </a>
      </h2>
      <p className="figures text-soft">{plan.moves}</p>
      <CollarInCloth {...drawnOn(request, values)} id="in-hand" plan={plan} className="h-52 w-full" />
      <p className={plan.feasible ? 'text-follows' : 'text-outside'}>
        {plan.feasible
          ? `${toSet.name === 'blade' ? 'Blade’s tip' : 'Narrow tip'} at ${formatLength(toSet.dropMm, units)}; takes up ${formatLength(plan.takeUpMm, units)}.`
          : plan.reasons.find(({ code }) => code === 'narrow-end')?.text}
      </p>
      <p className="text-note text-soft">
        {difficulty.charAt(0).toUpperCase() + difficulty.slice(1)}:{' '}
        {hardshipsOf(plan.properties)
          .map(({ text }) => text)
          .join(', ')}
        . {plan.properties.selfReleasing ? 'Falls open when the narrow end is drawn out.' : 'Does not fall open.'}
      </p>
      <Neighbours knot={knot} knots={knots} onChoose={onChoose} />
      <div className="flex flex-wrap gap-2 pt-2">
        <button
          type="button"
          className="min-h-10 cursor-pointer bg-set px-3 font-medium text-white hover:bg-ink"
          onClick={() => onTake(plan.moves)}
        >
          To the bench
        </button>
        <a
          className="flex min-h-10 items-center border-2 border-set px-3 text-set hover:bg-set hover:text-white"
          href={`/knots/${knot.code}`}
        >
          All about it
        </a>
        <button
          type="button"
          disabled={!inTray && tray.length >= mostCompared}
          className="min-h-10 cursor-pointer border-2 border-ink px-3 disabled:cursor-default disabled:border-line disabled:text-soft"
          onClick={() => onTray(inTray ? tray.filter((code) => code !== knot.code) : [...tray, knot.code])}
        >
          {inTray ? 'Not to compare' : 'To compare'}
        </button>
        {plan.names.length === 0 && (
          <a className="flex min-h-10 items-center px-1 text-set underline" href={`/namings/new?word=${encodeURIComponent(plan.moves)}`}>
            Name it
          </a>
        )}
      </div>
      {tray.length > 0 && (
        <p className="pt-2">
          Laid aside: {tray.map((code) => knots.find((each) => each.code === code)?.title).join(', ')}.{' '}
          {tray.length > 1 && (
            <a className="inline-flex min-h-8 items-center font-medium text-set underline" href={`/knots/compare?of=${tray.join(',')}`}>
              Compare these {tray.length}
            </a>
          )}
        </p>
      )}
    </section>
  );
}

interface NeighboursProps {
  readonly knot: MappedKnot;
  readonly knots: readonly MappedKnot[];
  readonly onChoose: (code: string) => void;
}

/** One step larger, smaller, more level, shorter. */
export function Neighbours({ knot, knots, onChoose }: NeighboursProps) {
  const { larger, smaller, moreLevel, fewerMoves } = similarTo(knot, knots);
  const steps = [
    ['a little larger', larger],
    ['a little smaller', smaller],
    ['more level', moreLevel],
    ['fewer moves', fewerMoves],
  ] as const;
  return (
    <ul className="grid grid-cols-2 gap-x-3 pt-2">
      {steps.map(([label, next]) => (
        <li key={label}>
          <button
            type="button"
            disabled={!next}
            className="min-h-11 w-full cursor-pointer text-left leading-tight text-set disabled:cursor-default disabled:text-soft"
            onClick={() => next && onChoose(next.code)}
          >
            {label}
            <span className="block text-note text-soft">{next?.title ?? 'none'}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}
