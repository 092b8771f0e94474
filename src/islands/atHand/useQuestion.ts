import { useEffect, useMemo, useState } from 'react';
import { completeRequest, type PlanQuestion, type PlanRequest } from '../../core/index.ts';
import type { Fault } from '../../core/measures/faults.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { questionIn, soundQuestion } from './question.ts';
import type { QuestionEntries } from './values.ts';

export interface Questioned {
  readonly question: PlanQuestion | undefined;
  readonly request: PlanRequest | undefined;
  readonly stale: boolean;
  readonly faults: readonly Fault[];
}

/** One and the same, so that no field is drawn anew where nothing is wrong. */
const noFaults: readonly Fault[] = [];

/**
 * The question of what stands in the fields. While a field is at fault the last good one stands;
 * `fallback` gives one where there was none yet. What is wrong is worded by the server's own checks,
 * which are fetched once something is.
 */
export function useQuestion(entries: QuestionEntries, units: LengthUnit, fallback: () => QuestionEntries): Questioned {
  const sound = useMemo(() => soundQuestion(entries, units), [entries, units]);
  const [lastGood, setLastGood] = useState(() => sound ?? soundQuestion(fallback(), units));
  if (sound && sound !== lastGood) setLastGood(sound);
  const [worded, setWorded] = useState<{
    readonly entries: QuestionEntries;
    readonly units: LengthUnit;
    readonly faults: readonly Fault[];
  }>();
  useEffect(() => {
    if (sound) return;
    let current = true;
    void import('../../contract/planQuestion.ts').then(({ checkPlanQuestion }) => {
      const { faults } = checkPlanQuestion(questionIn(entries, units));
      if (current)
        setWorded({ entries, units, faults: (faults ?? []).map(({ path, message }) => ({ path: `question.${path}`, message })) });
    });
    return () => {
      current = false;
    };
  }, [sound, entries, units]);
  const question = sound ?? lastGood;
  const request = useMemo(() => question && completeRequest(question), [question]);
  // The words of the fault before stand until those of the next are there.
  return { question, request, stale: !sound, faults: sound ? noFaults : (worded?.faults ?? noFaults) };
}
