import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { LearnerRecord } from '../../../contract/records/records.ts';
import type { GuideStep } from '../../../core/guide/guide.ts';
import { type PracticePart, practiceGoals, practicePartCodes, practiceParts } from '../../../core/practice/parts.ts';
import { progressOf } from '../../../core/practice/progress.ts';
import { Button, Link } from '../../ui/Button.tsx';
import { OutageNotice } from '../../ui/OutageNotice.tsx';
import { Switch } from '../../ui/Switch.tsx';
import { practiceQuery } from '../../wire/queries.ts';
import { RunDone } from './RunDone.tsx';
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

/** Before the name of a class, among the learners. */
const classKey = 'class ';

/** Runs against the clock, kept for whoever learns: one, or a whole class at once. */
export function Practice({ moves, title, steps, rehearsing, onClass, onChild }: PracticeProps) {
  const { data, failureCount } = useQuery(practiceQuery());
  const [who, setWho] = useState('');
  const learners = data?.learners ?? [];
  const classes = [...new Set(learners.map((each) => each.class).filter((name) => name !== ''))];
  const taking = takingPart(learners, who);
  const [learner] = taking;
  const isAlone = taking.length === 1;
  const before = data?.rehearsals.filter((run) => run.knot === moves) ?? [];
  const own = before.filter((run) => run.learnerId === learner?.id);
  const progress = isAlone && own.length > 0 ? progressOf(moves, own) : undefined;
  const { state } = rehearsing;
  return (
    <div className="min-h-0 space-y-2 overflow-y-auto py-2">
      <div className="flex flex-wrap items-end gap-x-5">
        <label className="flex items-baseline gap-2">
          Learner
          <select
            className="h-10 min-w-40 border-b-2 border-set/40 bg-transparent text-lg text-set"
            value={who}
            onChange={(event) => {
              setWho(event.target.value);
              onChild(takingPart(learners, event.target.value).some(({ child }) => child));
            }}
          >
            <option value="">nobody: not kept</option>
            {learners.map(({ id, label }) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
            {classes.length > 0 && (
              <optgroup label="A whole class">
                {classes.map((name) => (
                  <option key={name} value={classKey + name}>
                    {name}
                  </option>
                ))}
              </optgroup>
            )}
          </select>
        </label>
        <Link href="/learners/new">Add a learner</Link>
        <Link href={isAlone && learner ? `/practice?learner=${learner.id}` : '/practice'}>Who can tie what</Link>
      </div>
      {failureCount > 0 && !data && <OutageNotice what="Learners load as soon as they are back; a run can be timed meanwhile." />}
      {taking.some(({ child }) => child) && (
        <p className="border-l-4 border-outside pl-3">
          A child: an elastic or breakaway tie at play, and never alone with a tied tie. In large the steps are told in few words.
        </p>
      )}
      {taking.length > 1 && (
        <p className="text-soft">{taking.map(({ label }) => label).join(', ')}: one clock for all, and what each did is kept.</p>
      )}
      {progress && (
        <p className="text-soft">
          So far {own.length === 1 ? 'one run' : `${own.length} runs`}, {progress.inARow} clean in a row. Next:{' '}
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
          <Button className="text-lg" onClick={rehearsing.begin}>
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
        <RunDone key={rehearsing.id} {...{ moves, title, steps, rehearsing, before }} learners={taking} onAgain={rehearsing.begin} />
      )}
    </div>
  );
}

/** One learner, everyone of a class, or nobody. */
function takingPart(learners: readonly LearnerRecord[], who: string): readonly LearnerRecord[] {
  return learners.filter((each) => (who.startsWith(classKey) ? each.class === who.slice(classKey.length) : each.id === who));
}
