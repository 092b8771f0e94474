import { chanceInWords } from '../../../core/plan/chance.ts';
import { dressing } from '../../../core/plan/habits.ts';
import { setIn } from '../../../core/start/reading.ts';
import { formatLength, roughly } from '../../../core/units/length.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Moves } from '../../ui/Moves.tsx';
import { usePrinting } from '../../ui/usePrinting.ts';
import { useKnotTitle } from '../../wire/useKnotTitles.ts';
import { useTiesGiven } from './useTiesGiven.ts';

/** A client's whole wardrobe on one card: each tie with the knots it does best, and their starts. Worked out once it goes on paper. */
export function PrintedWardrobe() {
  return usePrinting() ? <WardrobeCard /> : null;
}

function WardrobeCard() {
  const { values, studio, frame, state, units } = useAsked();
  const titleOf = useKnotTitle();
  const listed = useTiesGiven();
  const { client, shirt, jacket } = values;
  return (
    <section className="paper-usual hidden print:block" aria-hidden="true">
      <p className="text-soft">{studio.name}</p>
      <h1 className="text-3xl font-semibold">{client.label}: each tie with its knots</h1>
      <p>
        In {shirt.label}, {jacket ? jacket.label : 'no jacket'}. Where to set the end before the first move, below the collar button,{' '}
        {dressing.readsAt[state].label}.
      </p>
      <table className="mt-[4mm] w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 font-medium">Tie</th>
            <th className="font-medium">Knot</th>
            <th className="font-medium">Moves</th>
            <th className="text-right font-medium">Set</th>
            <th className="text-right font-medium">First try</th>
          </tr>
        </thead>
        {listed.map(({ tie, knots }) => (
          <tbody key={tie.id} className="break-inside-avoid border-b border-line">
            {knots.map((plan, i) => (
              <tr key={plan.moves}>
                {i === 0 && (
                  <th rowSpan={knots.length} scope="rowgroup" className="py-1 pr-4 align-top font-medium">
                    {tie.label}
                  </th>
                )}
                <td>{titleOf(plan)}</td>
                <td>
                  <Moves of={plan.moves} frame={frame} />
                </td>
                <td className="figures text-right">
                  {plan.feasible
                    ? `${plan.start.set.end} tip ${formatLength(roughly(setIn(plan.start, state), units), units)}`
                    : 'won’t work'}
                </td>
                <td className="text-right">{plan.feasible ? chanceInWords(plan.tip.inBandProbability) : ''}</td>
              </tr>
            ))}
          </tbody>
        ))}
      </table>
      <p className="pt-[4mm] text-note">
        Never tighter than one finger’s room. Near machinery, on a bicycle or at play: no tie, or a breakaway tie.
      </p>
    </section>
  );
}
