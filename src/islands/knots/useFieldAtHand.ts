import { useMemo } from 'react';
import { checkPlanQuestion } from '../../contract/planQuestion.ts';
import { type FieldKnot, knotField } from '../../core/field/knotField.ts';
import { completeRequest, type PlanQuestion, type PlanRequest } from '../../core/index.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import type { BenchValues } from '../bench/values.ts';

export interface FieldAtHand {
  readonly question: PlanQuestion;
  readonly request: PlanRequest;
  readonly knots: readonly FieldKnot[];
}

/** Every knot with the tie and the client that stand on the bench; `undefined` while a measure is at fault. */
export function useFieldAtHand(values: BenchValues, units: LengthUnit): FieldAtHand | undefined {
  const asked = JSON.stringify({ ...values.question, units });
  return useMemo(() => {
    const { value } = checkPlanQuestion(JSON.parse(asked));
    return value && { question: value, request: completeRequest(value), knots: knotField(value) };
  }, [asked]);
}
