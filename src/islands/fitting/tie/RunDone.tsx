import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answerKeys } from '../../../contract/answerKeys.ts';
import { dayIn, sayDay } from '../../../contract/days.ts';
import { longestLine, longestNote } from '../../../contract/records/kinds/kindOf.ts';
import type { LearnerRecord, RehearsalRecord } from '../../../contract/records/records.ts';
import type { GuideStep } from '../../../core/guide/guide.ts';
import { totalOf } from '../../../core/practice/progress.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Button } from '../../ui/Button.tsx';
import { keepRecord } from '../../wire/queries.ts';
import type { Rehearsing } from './useRehearsing.ts';

interface RunDoneProps {
  readonly moves: string;
  readonly title: string;
  readonly steps: readonly GuideStep[];
  readonly rehearsing: Rehearsing;
  /** Runs of this knot that were kept before. */
  readonly before: readonly RehearsalRecord[];
  /** Who took part; nobody whose run is kept where it is empty. */
  readonly learners: readonly LearnerRecord[];
  readonly onAgain: () => void;
}

/** How a learner came through a run. */
interface Came {
  readonly clean: boolean;
  readonly wrong: string;
  readonly note: string;
}

const cleanly: Came = { clean: true, wrong: '', note: '' };

/** A run is done: how long it took, and how each who took part came through it, to be kept. */
export function RunDone({ moves, title, steps, rehearsing, before, learners, onAgain }: RunDoneProps) {
  const { studio, units } = useAsked();
  const queries = useQueryClient();
  const [came, setCame] = useState<Readonly<Record<string, Came>>>({});
  const [kept, setKept] = useState<ReadonlySet<string>>(new Set());
  // A run sent again is the same run.
  const [ids] = useState(() => new Map<string, string>());
  const idOf = (learnerId: string) => ids.get(learnerId) ?? ids.set(learnerId, crypto.randomUUID()).get(learnerId) ?? '';
  const saving = useMutation({
    mutationFn: async () => {
      for (const learner of learners) {
        if (kept.has(learner.id)) continue;
        await keepRecord('rehearsals', runOf(learner), units);
        setKept((those) => new Set([...those, learner.id]));
      }
    },
    onSettled: () => queries.invalidateQueries({ queryKey: answerKeys.allPractice() }),
  });
  const runOf = ({ id: learnerId }: LearnerRecord): RehearsalRecord => {
    const today = dayIn(studio.timeZone);
    const { clean, wrong, note } = came[learnerId] ?? cleanly;
    const earlier = before.filter((run) => run.learnerId === learnerId && run.id !== idOf(learnerId)).length;
    return {
      id: idOf(learnerId),
      version: 0,
      archived: false,
      label: `${title}, ${sayDay(today, 'UTC')}, run ${earlier + 1}`,
      learnerId,
      knot: moves,
      part: rehearsing.part,
      doneOn: today,
      seconds: rehearsing.seconds.map((s) => Math.round(10 * s) / 10),
      clean,
      wrong: clean ? '' : wrong,
      note,
    };
  };
  const isKept = learners.length > 0 && learners.every(({ id }) => kept.has(id));
  const [first] = learners;
  const isAlone = learners.length === 1;
  return (
    <div className="space-y-2">
      <p className="text-2xl font-medium">
        Done in <span className="figures text-follows">{Math.round(totalOf(rehearsing))} s</span>
      </p>
      <p className="text-soft">Longest: {longest(rehearsing.seconds, steps)}</p>
      {learners.map(({ id, label }) => (
        <CameThrough
          key={id}
          name={isAlone ? undefined : label}
          came={came[id] ?? cleanly}
          withLength={rehearsing.part === 'length'}
          isKept={kept.has(id)}
          onChange={(next) => setCame({ ...came, [id]: next })}
        />
      ))}
      <p className="flex flex-wrap items-center gap-3">
        {first && !isKept && (
          <Button onClick={() => saving.mutate()} disabled={saving.isPending}>
            {saving.isPending ? 'Saving…' : `Keep for ${isAlone ? first.label : `all ${learners.length}`}`}
          </Button>
        )}
        <Button look="other" onClick={onAgain}>
          Once more
        </Button>
        {!first && <span className="text-soft">Choose a learner to keep it.</span>}
      </p>
      <p role="status">
        {isKept && 'Kept.'}
        {saving.isError &&
          `${kept.size > 0 ? `Kept for ${kept.size} of ${learners.length}, then not` : 'Not kept'}: ${saving.error.message}`}
        {saving.isPending && saving.failureCount > 0 && 'Not kept yet: the studio’s records can’t be reached. Still trying.'}
      </p>
    </div>
  );
}

interface CameThroughProps {
  /** Where several took part. */
  readonly name: string | undefined;
  readonly came: Came;
  /** Whether the tip counts. */
  readonly withLength: boolean;
  readonly isKept: boolean;
  readonly onChange: (came: Came) => void;
}

function CameThrough({ name, came, withLength, isKept, onChange }: CameThroughProps) {
  const set = (changed: Partial<Came>) => onChange({ ...came, ...changed });
  return (
    <fieldset disabled={isKept} className={name ? 'border-t border-line pt-1' : ''}>
      {name && <legend className="text-lg font-medium">{name}</legend>}
      <label className="flex min-h-9 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-set"
          checked={came.clean}
          onChange={(event) => set({ clean: event.target.checked })}
        />
        Without a slip{withLength && ', and the tip within tolerance'}
      </label>
      {!came.clean && <Line label="What went wrong" longest={longestLine} value={came.wrong} onChange={(wrong) => set({ wrong })} />}
      <Line label="Remark" longest={longestNote} value={came.note} onChange={(note) => set({ note })} />
    </fieldset>
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
