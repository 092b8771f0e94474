import { useQuery } from '@tanstack/react-query';
import { Download, UserPlus } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { sayDay, sayDayShortly } from '../../contract/days.ts';
import type { Given } from '../../contract/given.ts';
import type { LearnerRecord, RehearsalRecord } from '../../contract/records/records.ts';
import { parseKnot } from '../../core/index.ts';
import { knotTitle } from '../../core/knot/code.ts';
import { learnerKinds, practiceGoals, practiceParts } from '../../core/practice/parts.ts';
import { type Progress, progressByKnot, totalOf } from '../../core/practice/progress.ts';
import { Link } from '../ui/Button.tsx';
import { Loading } from '../ui/Loading.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { useAlive } from '../ui/useAlive.ts';
import { practiceQuery } from '../wire/queries.ts';
import { useKnotTitle } from '../wire/useKnotTitles.ts';
import { WithGiven } from '../wire/WithGiven.tsx';
import { inSeconds } from './inSeconds.ts';

const RunsChart = lazy(() => import('./RunsChart.tsx').then((each) => ({ default: each.RunsChart })));

interface PracticePageProps {
  readonly given: Given;
  /** Whose runs are looked at; the first learner's where nobody was asked for. */
  readonly learner: string | null;
}

/** Who can tie what, how fast, since when, and what still goes wrong. */
export function PracticePage({ given, learner }: PracticePageProps) {
  return (
    <WithGiven given={given}>
      <Roster begin={learner} />
    </WithGiven>
  );
}

function Roster({ begin }: { readonly begin: string | null }) {
  const { data, isError, error, failureCount } = useQuery(practiceQuery());
  const [chosen, setChosen] = useState(begin);
  const runsOf = useMemo(() => {
    const all = new Map<string, RehearsalRecord[]>();
    for (const run of data?.rehearsals ?? []) all.set(run.learnerId, [...(all.get(run.learnerId) ?? []), run]);
    return all;
  }, [data]);
  if (isError) return <p className="py-6 text-xl">{error.message}</p>;
  if (!data) return failureCount > 0 ? <OutageNotice what="The roster loads as soon as they are back." /> : <Loading />;
  const add = (
    <Link look="main" href="/learners/new">
      <UserPlus aria-hidden className="size-5" /> Add a learner
    </Link>
  );
  if (data.learners.length === 0)
    return (
      <div className="space-y-4 py-6 text-xl">
        <p>Nobody learns here yet. Add a learner, then time their runs from a fitting: stage Tie, sheet Practice.</p>
        {add}
      </div>
    );
  const now = data.learners.find(({ id }) => id === chosen) ?? data.learners[0];
  return (
    <>
      <p className="flex flex-wrap items-center gap-x-5 gap-y-2 pb-3">
        {add}
        <a className="flex min-h-9 items-center gap-2 text-set underline underline-offset-4" href="/api/export/rehearsals.csv" download>
          <Download aria-hidden className="size-4" /> rehearsals.csv
        </a>
        <span className="text-soft">
          Runs are timed from a fitting: stage Tie, sheet Practice. Moves first, finish second, length last.
        </span>
      </p>
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
        <table className="w-full self-start text-left">
          <caption className="sr-only">Learners and the knots they tie</caption>
          <thead>
            <tr className="border-b-2 border-ink">
              <th className="py-1 font-medium">Learner</th>
              <th className="font-medium">Knot</th>
              <th className="text-right font-medium">Typical</th>
              <th className="pl-4 font-medium">Can tie it</th>
              <th className="font-medium">Next</th>
            </tr>
          </thead>
          {data.learners.map((learner) => (
            <LearnerRows
              key={learner.id}
              learner={learner}
              progress={progressByKnot(runsOf.get(learner.id) ?? [])}
              isNow={learner.id === now?.id}
              onChoose={() => setChosen(learner.id)}
            />
          ))}
        </table>
        {now && <Learner learner={now} runs={runsOf.get(now.id) ?? []} />}
      </div>
    </>
  );
}

/** A knot as titles are looked up: by the studio's own name, or the usual one. */
function named(moves: string) {
  return { moves, title: knotTitle(parseKnot(moves)) };
}

interface LearnerRowsProps {
  readonly learner: LearnerRecord;
  readonly progress: readonly Progress[];
  readonly isNow: boolean;
  readonly onChoose: () => void;
}

function LearnerRows({ learner, progress, isNow, onChoose }: LearnerRowsProps) {
  const titleOf = useKnotTitle();
  const rows = progress.length > 0 ? progress : [undefined];
  return (
    <tbody className={`border-b border-line ${isNow ? 'bg-white' : ''}`}>
      {rows.map((each, i) => (
        <tr key={each?.knot ?? 'none'} className="align-baseline">
          {i === 0 && (
            <th scope="rowgroup" rowSpan={rows.length} className="py-1 pr-3 font-normal">
              <button
                type="button"
                aria-pressed={isNow}
                className="min-h-9 cursor-pointer text-left text-lg font-medium text-set underline decoration-1 underline-offset-4"
                onClick={onChoose}
              >
                {learner.label}
              </button>
              <span className="block text-note text-soft">
                {learnerKinds[learner.who].label}
                {learner.class && `, ${learner.class}`}
              </span>
            </th>
          )}
          {each ? (
            <>
              <td>{titleOf(named(each.knot))}</td>
              <td className="figures text-right">{each.typicalS === null ? '' : inSeconds(each.typicalS)}</td>
              <td className="pl-4">{each.canSince ? `since ${sayDayShortly(each.canSince)}` : 'not yet'}</td>
              <td>{sayDayShortly(each.nextOn)}</td>
            </>
          ) : (
            <td colSpan={4} className="text-soft">
              no runs yet
            </td>
          )}
        </tr>
      ))}
    </tbody>
  );
}

function Learner({ learner, runs }: { readonly learner: LearnerRecord; readonly runs: readonly RehearsalRecord[] }) {
  const alive = useAlive();
  return (
    <section aria-label={`Practice of ${learner.label}`} className="space-y-5">
      <p className="flex flex-wrap items-baseline gap-x-4 border-b-2 border-ink">
        <span className="text-2xl font-medium">{learner.label}</span>
        <span className="text-soft">Goal: {learner.goal ? practiceGoals[learner.goal].label : 'none set'}</span>
        <Link href={`/learners/${learner.id}`}>Edit</Link>
      </p>
      {learner.note && <p>{learner.note}</p>}
      {progressByKnot(runs).map((progress) => (
        <Knot
          key={progress.knot}
          progress={progress}
          runs={runs.filter(({ knot }) => knot === progress.knot)}
          goalS={learner.goal ? Number(learner.goal) : null}
          alive={alive}
        />
      ))}
      {runs.length === 0 && <p className="text-soft">No runs yet.</p>}
    </section>
  );
}

interface KnotProps {
  readonly progress: Progress;
  readonly runs: readonly RehearsalRecord[];
  readonly goalS: number | null;
  readonly alive: boolean;
}

function Knot({ progress, runs, goalS, alive }: KnotProps) {
  const titleOf = useKnotTitle();
  const { knot, part, bestS, typicalS, inARow, stepS, costly, wrong, nextOn } = progress;
  return (
    <section aria-label={titleOf(named(knot))} className="space-y-2">
      <h2 className="text-xl font-medium">{titleOf(named(knot))}</h2>
      <p>
        Now {practiceParts[part].label}: best <b className="figures">{bestS === null ? 'none clean yet' : inSeconds(bestS)}</b>, typical{' '}
        <b className="figures">{typicalS === null ? '–' : inSeconds(typicalS)}</b>;{' '}
        {inARow === 1 ? 'one clean run' : `${inARow} clean runs`} in a row. Practise next on {sayDay(nextOn, 'UTC')}.
      </p>
      {costly.length > 0 && (
        <p className="text-soft">
          Longest: {costly.map((i) => `step ${i + 1} (${inSeconds(stepS[i] ?? 0)})`).join(', ')}.
          {wrong.length > 0 && ` Goes wrong: ${wrong.slice(0, 3).join('; ')}.`}
        </p>
      )}
      {alive && (
        <Suspense fallback={<Loading />}>
          <RunsChart runs={runs} goalS={goalS} />
        </Suspense>
      )}
      <details>
        <summary className="flex min-h-9 cursor-pointer items-center text-set">Every run</summary>
        <table className="w-full text-left text-note">
          <thead>
            <tr className="border-b border-line">
              <th className="font-medium">Day</th>
              <th className="font-medium">Rehearsed</th>
              <th className="text-right font-medium">In all</th>
              <th className="pl-4 font-medium">How it went</th>
            </tr>
          </thead>
          <tbody>
            {runs.toReversed().map((run) => (
              <tr key={run.id} className="border-b border-faint">
                <td>
                  <Link className="min-h-6" href={`/rehearsals/${run.id}`}>
                    {sayDay(run.doneOn, 'UTC')}
                  </Link>
                </td>
                <td>{practiceParts[run.part].label}</td>
                <td className="figures text-right">{inSeconds(totalOf(run))}</td>
                <td className="pl-4">
                  {run.clean ? 'clean' : run.wrong || 'not clean'}
                  {run.note && `. ${run.note}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </section>
  );
}
