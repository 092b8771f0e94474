import { useMemo, useState } from 'react';
import { checkPlanQuestion } from '../../contract/planQuestion.ts';
import { completeRequest, type Plan, type PlanQuestion, type PlanRequest, plan } from '../../core/index.ts';
import type { Fault } from '../../core/measures/faults.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import type { QuestionEntries } from './values.ts';

export interface Worked {
  readonly question: PlanQuestion;
  readonly request: PlanRequest;
  readonly plan: Plan;
}

export interface WorkedPlan {
  /** The latest answer; the last good one while a field is at fault. */
  readonly worked: Worked | undefined;
  readonly stale: boolean;
  /** By the field names of the bench. */
  readonly faults: readonly Fault[];
}

/**
 * Works the plan out at every change: a few milliseconds, so no worker is needed. While a
 * field is at fault the last good answer stands; `fallback` gives one where there was none yet.
 */
export function useWorkedPlan(entries: QuestionEntries, units: LengthUnit, fallback: () => QuestionEntries): WorkedPlan {
  const asked = JSON.stringify({ ...entries, units });
  const { worked, faults } = useMemo(() => workOut(JSON.parse(asked)), [asked]);
  const [lastGood, setLastGood] = useState(() => worked ?? workOut({ ...fallback(), units }).worked);
  if (worked && worked !== lastGood) setLastGood(worked);
  return { worked: worked ?? lastGood, stale: worked === undefined, faults };
}

function workOut(input: unknown): { worked?: Worked; faults: readonly Fault[] } {
  const { value, faults } = checkPlanQuestion(input);
  if (faults) return { faults: faults.map(({ path, message }) => ({ path: `question.${path}`, message })) };
  return { worked: { question: value, request: completeRequest(value), plan: plan(value) }, faults: [] };
}
