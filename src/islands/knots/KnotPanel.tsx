import { hardshipsOf } from '../../core/knot/difficulty.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import { similarTo } from '../../core/knotMap/similar.ts';
import { dressing } from '../../core/plan/habits.ts';
import { setIn } from '../../core/start/reading.ts';
import { formatLength, roughly } from '../../core/units/length.ts';
import { useAsked } from '../atHand/useAtHand.ts';
import { CollarInCloth } from '../seen/CollarInCloth.tsx';
import { Button, Link } from '../ui/Button.tsx';
import { Moves, MovesKey } from '../ui/Moves.tsx';
import { capital } from '../ui/words.ts';
import { useColoursAtHand, useInFitting } from './KnotsAtHand.tsx';

interface KnotPanelProps {
  readonly knot: MappedKnot;
  readonly knots: readonly MappedKnot[];
  /** Knots set aside to be compared. */
  readonly tray: readonly string[];
  readonly onTray: (codes: readonly string[]) => void;
  readonly onChoose: (code: string) => void;
}

const mostCompared = 4;

/** The knot that is looked at: on this collar, with one step to those similar to it. */
export function KnotPanel({ knot, knots, tray, onTray, onChoose }: KnotPanelProps) {
  const { request, frame, state, units } = useAsked();
  const colours = useColoursAtHand();
  const use = useInFitting();
  const { plan, title, difficulty } = knot;
  const inTray = tray.includes(knot.code);
  const { set } = plan.start;
  return (
    <section aria-label="The knot looked at">
      <h2 className="text-2xl leading-tight font-semibold">
        <a className="hover:underline" href={`/knots/${knot.code}`}>
          {title}
        </a>
      </h2>
      <Moves of={plan.moves} frame={frame} className="text-lg" />
      <MovesKey frame={frame} />
      <CollarInCloth request={request} view={frame.view} {...colours} id="in-hand" plan={plan} className="h-52 w-full" />
      <p className={plan.feasible ? 'text-follows' : 'text-outside'}>
        {plan.refusal
          ? plan.refusal.text
          : `Set the ${set.end} tip at ${formatLength(roughly(setIn(plan.start, state), units), units)}, ${dressing.readsAt[state].label}; takes up ${formatLength(plan.takeUpMm, units)}.`}
      </p>
      <p className="text-note text-soft">
        {capital(difficulty)}:{' '}
        {hardshipsOf(plan.properties)
          .map(({ text }) => text)
          .join(', ')}
        . {plan.properties.selfReleasing ? 'Pulls open when the tail is drawn out.' : 'Doesn’t pull open.'}
      </p>
      <Similar knot={knot} knots={knots} onChoose={onChoose} />
      <div className="flex flex-wrap gap-2 pt-2">
        <Button onClick={() => use(plan.moves)}>Use in fitting</Button>
        <Link look="other" href={`/knots/${knot.code}`}>
          Details
        </Link>
        <Button
          look="plain"
          disabled={!inTray && tray.length >= mostCompared}
          onClick={() => onTray(inTray ? tray.filter((code) => code !== knot.code) : [...tray, knot.code])}
        >
          {inTray ? 'Don’t compare' : 'Compare'}
        </Button>
        {!inTray && tray.length >= mostCompared && <span className="text-note text-soft">At most {mostCompared} are compared.</span>}
        {plan.names.length === 0 && <Link href={`/namings/new?word=${encodeURIComponent(plan.moves)}`}>Name this knot</Link>}
      </div>
      {tray.length > 0 && (
        <p className="pt-2">
          To compare: {tray.map((code) => knots.find((each) => each.code === code)?.title ?? code).join(', ')}.{' '}
          {tray.length > 1 ? (
            <Link href={`/knots/compare?of=${tray.join(',')}`}>Compare these {tray.length}</Link>
          ) : (
            <span className="text-soft">Choose one more.</span>
          )}
        </p>
      )}
    </section>
  );
}

interface SimilarProps {
  readonly knot: MappedKnot;
  readonly knots: readonly MappedKnot[];
  readonly onChoose: (code: string) => void;
}

/** One step larger, smaller, more level, shorter. */
export function Similar({ knot, knots, onChoose }: SimilarProps) {
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
