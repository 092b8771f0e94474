import { useMemo } from 'react';
import { bookSays, type Said } from '../../../core/fitbook/says.ts';
import type { KnotPlan } from '../../../core/index.ts';
import { planKnot } from '../../../core/plan/plan.ts';
import { tipIn } from '../../../core/start/reading.ts';
import { formatLength, type LengthUnit, roughly } from '../../../core/units/length.ts';
import { tieNamed } from '../../atHand/lessons.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Button } from '../../ui/Button.tsx';
import { lowerOrHigher } from './startInWords.ts';

/** What earlier tyings change of this start, and the way to see it without them. */
export function BookSays({ plan }: { readonly plan: KnotPlan }) {
  const { learnt, values, untaught, state, units, bookRead, setBookRead } = useAsked();
  const plain = useMemo(() => planKnot(untaught.request, plan.moves), [untaught, plan.moves]);
  const knows = learnt.known.effects.length > 0;
  if (!knows && bookRead) return null;
  const { end } = plan.start.set;
  const byMm = roughly(tipIn(plan.start.readings, state, end) - tipIn(plain.start.readings, state, end), units);
  const said = bookSays(learnt, tieNamed(values), plan.moves, plain.takeUpMm).slice(0, 3);
  return (
    <section aria-label="What the fit book says" className="border-t border-line pt-1 leading-snug">
      {bookRead ? (
        <p>
          {said.length === 0
            ? 'The fit book knows nothing that would move this start.'
            : `${sentence(said.map((each) => inWords(each, units)))}: `}
          {said.length > 0 && (
            <b className="font-medium text-follows">
              {Math.round(byMm) === 0 ? 'the start stays' : `the ${end} tip starts ${lowerOrHigher(byMm, units)}`}
            </b>
          )}
          {said.length > 0 &&
            `, and the tip is sure to ±${formatLength(roughly(plan.tip.sdMm, units), units)}, not ±${formatLength(roughly(plain.tip.sdMm, units), units)}.`}
        </p>
      ) : (
        <p className="text-outside">Without the fit book: the formulas alone, as if nothing had been tied yet.</p>
      )}
      <Button look="text" className="min-h-8" onClick={() => setBookRead(!bookRead)}>
        {bookRead ? 'See it without the fit book' : 'Read the fit book again'}
      </Button>
    </section>
  );
}

function sentence(parts: readonly string[]): string {
  const text = parts.join('; ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function inWords({ code, amount, lowerMm, tyings }: Said, units: LengthUnit): string {
  const percent = `${Math.round(100 * Math.abs(amount))}% ${amount > 0 ? 'more' : 'less'}`;
  const times = `(${tyings} ${tyings === 1 ? 'tying' : 'tyings'})`;
  const far = `${formatLength(roughly(Math.abs(lowerMm), units), units)} ${lowerMm > 0 ? 'lower' : 'higher'}`;
  switch (code) {
    case 'tie':
      return `this tie has taken up ${percent} than its measures say ${times}`;
    case 'knot':
      return `this knot takes up ${percent} than the formula says ${times}`;
    case 'stylist':
      return `these hands take up ${percent} ${times}`;
    case 'hand':
      return `tips of these hands end ${far} ${times}`;
    default:
      return `this client’s tips end ${far} ${times}`;
  }
}
