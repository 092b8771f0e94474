import { useMemo } from 'react';
import { isThere } from '../../../core/care/dealings.ts';
import type { KnotPlan } from '../../../core/index.ts';
import { chanceInWords } from '../../../core/plan/chance.ts';
import { type Change, curesFor } from '../../../core/start/cures.ts';
import { setIn } from '../../../core/start/reading.ts';
import { formatLength, roughly } from '../../../core/units/length.ts';
import { anotherTie, withLessons } from '../../atHand/lessons.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { withAim, withTie } from '../../atHand/values.ts';
import { Button } from '../../ui/Button.tsx';

/** Of a knot that won't work: by how much, and what would make up for it, the smallest change first, each one press away. */
export function Cures({ knot }: { readonly knot: KnotPlan }) {
  const { question, untaught, values, lessons, wardrobe, store, state, units, learnt } = useAsked();
  const ties = useMemo(() => wardrobe.ties.filter((tie) => tie.id !== values.tie.id && isThere(tie)), [wardrobe.ties, values.tie.id]);
  const aimIsFixed = Boolean(values.regulation);
  const cures = useMemo(() => {
    const { calibration } = withLessons(untaught, lessons, anotherTie, learnt).request;
    return curesFor(question, knot.moves, { ties, calibration, aimIsFixed });
  }, [question, untaught, lessons, learnt, knot.moves, ties, aimIsFixed]);
  const apply = (change: Change) =>
    store.change((now) => {
      switch (change.kind) {
        case 'knot':
          return { ...now, knot: change.moves };
        case 'tie': {
          const tie = wardrobe.ties.find(({ id }) => id === change.id);
          return tie ? { ...withTie(now, tie), knot: knot.moves } : now;
        }
        case 'aim':
          return { ...withAim(now, change.aim), knot: knot.moves };
        case 'jacket':
        case 'waistcoat': {
          const { jacket } = now.question;
          if (!jacket) return now;
          const worn = change.kind === 'jacket' ? { ...jacket, worn: change.worn } : { ...jacket, waistcoat: true };
          return { ...now, knot: knot.moves, question: { ...now.question, jacket: worn } };
        }
      }
    });
  return (
    <section aria-label="Start" aria-live="polite">
      <h2 className="py-1 text-lg font-medium text-outside">{knot.refusal?.text}</h2>
      {cures.length === 0 ? (
        <p className="text-soft">Nothing at hand makes up for it: it takes a tie of another length.</p>
      ) : (
        <>
          <p className="text-note text-soft">Any one of these is enough; the smallest change first.</p>
          <ol aria-label="What would make it work">
            {cures.map(({ change, text, plan }) => (
              <li key={JSON.stringify(change)} className="flex items-center justify-between gap-x-3 border-b border-faint">
                <Button look="text" className="min-h-9 text-left" onClick={() => apply(change)}>
                  {text}
                </Button>
                <span className="text-note whitespace-nowrap text-soft">
                  {plan.start.set.end} tip at {formatLength(roughly(setIn(plan.start, state), units), units)},{' '}
                  {chanceInWords(plan.tip.inBandProbability * plan.tail.works)}
                </span>
              </li>
            ))}
          </ol>
        </>
      )}
    </section>
  );
}
