import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answerKeys } from '../../../contract/answerKeys.ts';
import { dayIn, sayDay } from '../../../contract/days.ts';
import { longestLine, longestNote } from '../../../contract/records/kinds/kindOf.ts';
import type { RehearsalRecord } from '../../../contract/records/records.ts';
import type { GuideStep } from '../../../core/guide/guide.ts';
import { type PracticePart, practiceGoals, practicePartCodes, practiceParts } from '../../../core/practice/parts.ts';
import { progressOf, totalOf } from '../../../core/practice/progress.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Button, Link } from '../../ui/Button.tsx';
import { OutageNotice } from '../../ui/OutageNotice.tsx';
import { Switch } from '../../ui/Switch.tsx';
import { keepRecord, practiceQuery } from '../../wire/queries.ts';
import type { Rehearsing } from './useRehearsing.ts';

interface PracticeProps {
  readonly moves: string;
  readonly title: string;
  readonly steps: readonly GuideStep[];
  readonly rehearsing: Rehearsing;
  /** Shows the tying in large, going on by itself. */
  readonly onClass: () => void;
  /** Whether a child learns: then it is shown in fewer words. */
  readonly onChild: (isChild: boolean) => void;
}

const partChoices = practicePartCodes.map((key) => ({ key, label: practiceParts[key].label }));
const repeatChoices = [
  { key: '1', label: 'once' },
  { key: '3', label: 'three times' },
] as const;

/** Runs against the clock, kept for whoever learns. */
export function Practice({ moves, title, steps, rehearsing, onClass, onChild }: PracticeProps) {
  const { studio, units } = useAsked();
  const queries = useQueryClient();
  const { data, failureCount } = useQuery(practiceQuery());
  const [learnerId, setLearnerId] = useState('');
  const [clean, setClean] = useState(true);
  const [wrong, setWrong] = useState('');
  const [note, setNote] = useState('');
  const [kept, setKept] = useState<string>();
  const saving = useMutation({
    mutationFn: (run: RehearsalRecord) => keepRecord('rehearsals', run, units),
    onSuccess: (run) => {
      setKept(run.id);
      return queries.invalidateQueries({ queryKey: answerKeys.allPractice() });
    },
  });
  const learner = data?.learners.find(({ id }) => id === learnerId);
  const before = data?.rehearsals.filter((run) => run.learnerId === learnerId && run.knot === moves) ?? [];
  const progress = before.length > 0 ? progressOf(moves, before) : undefined;
  const { state } = rehearsing;
  const begin = () => {
    setKept(undefined);
    setClean(true);
    setWrong('');
    setNote('');
    rehearsing.begin();
  };
  const keep = () => {
    if (!learner) return;
    const today = dayIn(studio.timeZone);
    saving.mutate({
      id: rehearsing.id,
      version: 0,
      archived: false,
      label: `${title}, ${sayDay(today, 'UTC')}, run ${before.length + 1}`,
      learnerId: learner.id,
      knot: moves,
      part: rehearsing.part,
      doneOn: today,
      seconds: rehearsing.seconds.map((s) => Math.round(10 * s) / 10),
      clean,
      wrong: clean ? '' : wrong,
      note,
    });
  };
  return (
    <div className="min-h-0 space-y-2 overflow-y-auto py-2">
      <div className="flex flex-wrap items-end gap-x-5">
        <label className="flex items-baseline gap-2">
          Learner
          <select
            className="h-10 min-w-40 border-b-2 border-set/40 bg-transparent text-lg text-set"
            value={learnerId}
            onChange={(event) => {
              setLearnerId(event.target.value);
              onChild(data?.learners.find(({ id }) => id === event.target.value)?.child ?? false);
              setKept(undefined);
            }}
          >
            <option value="">nobody: not kept</option>
            {data?.learners.map(({ id, label }) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </select>
        </label>
        <Link href="/learners/new">Add a learner</Link>
        <Link href={learnerId ? `/practice?learner=${learnerId}` : '/practice'}>Who can tie what</Link>
      </div>
      {failureCount > 0 && !data && <OutageNotice what="Learners load as soon as they are back; a run can be timed meanwhile." />}
      {learner?.child && (
        <p className="border-l-4 border-outside pl-3">
          A child: an elastic or breakaway tie at play, and never alone with a tied tie. In large the steps are told in few words.
        </p>
      )}
      {progress && (
        <p className="text-soft">
          So far {before.length === 1 ? 'one run' : `${before.length} runs`}, {progress.inARow} clean in a row. Next:{' '}
          {practiceParts[progress.part].label}.{learner?.goal && ` Goal: ${practiceGoals[learner.goal].label}.`}
        </p>
      )}
      <Switch
        label="What is rehearsed"
        showLabel
        value={rehearsing.part}
        choices={partChoices}
        onChange={(part: PracticePart) => rehearsing.setPart(part)}
      />
      <Switch
        label="Each step is shown"
        showLabel
        value={rehearsing.repeats === 3 ? '3' : '1'}
        choices={repeatChoices}
        onChange={(times) => rehearsing.setRepeats(times === '3' ? 3 : 1)}
      />
      {state === 'resting' && (
        <p className="flex flex-wrap items-center gap-x-4">
          <Button className="text-lg" onClick={begin}>
            Start the clock
          </Button>
          <Button look="other" onClick={onClass}>
            Class at one pace
          </Button>
          <span className="text-soft">Then Next (or space) as each step is done, {rehearsing.count} in all.</span>
        </p>
      )}
      {state === 'running' && (
        <p role="timer" className="figures text-5xl text-follows">
          {rehearsing.elapsedS} s{' '}
          <span className="text-lg text-soft">
            step {rehearsing.seconds.length + 1} of {rehearsing.count}
          </span>{' '}
          <Button look="text" onClick={rehearsing.drop}>
            Stop
          </Button>
        </p>
      )}
      {state === 'done' && (
        <div className="space-y-2">
          <p className="text-2xl font-medium">
            Done in <span className="figures text-follows">{Math.round(totalOf(rehearsing))} s</span>
          </p>
          <p className="text-soft">Longest: {longest(rehearsing.seconds, steps)}</p>
          <label className="flex min-h-9 items-center gap-2">
            <input type="checkbox" className="size-5 accent-set" checked={clean} onChange={(event) => setClean(event.target.checked)} />
            Without a slip{rehearsing.part === 'length' && ', and the tip within tolerance'}
          </label>
          {!clean && <Line label="What went wrong" longest={longestLine} value={wrong} onChange={setWrong} />}
          <Line label="Remark" longest={longestNote} value={note} onChange={setNote} />
          <p className="flex flex-wrap items-center gap-3">
            {learner && !kept && (
              <Button onClick={keep} disabled={saving.isPending}>
                {saving.isPending ? 'Saving…' : `Keep for ${learner.label}`}
              </Button>
            )}
            <Button look="other" onClick={begin}>
              Once more
            </Button>
            {!learner && <span className="text-soft">Choose a learner to keep it.</span>}
          </p>
          <p role="status">
            {kept && 'Kept.'}
            {saving.isError && `Not kept: ${saving.error.message}`}
            {saving.isPending && saving.failureCount > 0 && 'Not kept yet: the studio’s records can’t be reached. Still trying.'}
          </p>
        </div>
      )}
    </div>
  );
}

interface LineProps {
  readonly label: string;
  readonly longest: number;
  readonly value: string;
  readonly onChange: (text: string) => void;
}

function Line({ label, longest: most, value, onChange }: LineProps) {
  return (
    <label className="block">
      {label}
      <input
        className="h-9 w-full border-b-2 border-set/40 bg-transparent text-lg text-set"
        maxLength={most}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}

function longest(seconds: readonly number[], steps: readonly GuideStep[]): string {
  return seconds
    .map((s, i) => [s, steps[i + 1]?.title ?? 'Lay it on'] as const)
    .toSorted((a, b) => b[0] - a[0])
    .slice(0, 2)
    .map(([s, title]) => `${title}, ${s.toFixed(1)} s`)
    .join('; ');
}
