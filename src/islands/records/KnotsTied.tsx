import { useQuery } from '@tanstack/react-query';
import { sayDay } from '../../contract/days.ts';
import { parseKnot } from '../../core/index.ts';
import { knotTitle } from '../../core/knot/code.ts';
import { practiceParts } from '../../core/practice/parts.ts';
import { progressByKnot } from '../../core/practice/progress.ts';
import { Link } from '../ui/Button.tsx';
import { practiceQuery } from '../wire/queries.ts';
import { useKnotTitle } from '../wire/useKnotTitles.ts';

/** Which knots a client can tie, since when and how fast, and which they still learn. */
export function KnotsTied({ clientId }: { readonly clientId: string }) {
  const { data } = useQuery(practiceQuery(clientId));
  const titleOf = useKnotTitle();
  if (!data) return null;
  const learner = data.learners[0];
  const progress = progressByKnot(data.rehearsals);
  return (
    <section aria-label="Knots they can tie" className="pb-4">
      <h2 className="border-b-2 border-ink text-xl font-medium">Knots they can tie</h2>
      {progress.length === 0 && (
        <p className="py-1 text-soft">Nothing rehearsed yet: time a run in a fitting, stage Tie, sheet Practice.</p>
      )}
      <ul>
        {progress.map(({ knot, canSince, part, inARow, typicalS, nextOn }) => (
          <li key={knot} className="flex flex-wrap items-baseline gap-x-4 border-b border-faint py-1">
            <span className="font-medium">{titleOf({ moves: knot, title: knotTitle(parseKnot(knot)) })}</span>
            {canSince === null ? (
              <span className="text-soft">
                learns it: {practiceParts[part].label}, {inARow} clean in a row
              </span>
            ) : (
              <span className="text-follows">since {sayDay(canSince, 'UTC')}</span>
            )}
            {typicalS !== null && <span className="figures">{Math.round(typicalS)} s</span>}
            <span className="text-soft">next {sayDay(nextOn, 'UTC')}</span>
          </li>
        ))}
      </ul>
      {learner && (
        <p>
          <Link href={`/practice?learner=${learner.id}`}>Every run</Link>
        </p>
      )}
    </section>
  );
}
