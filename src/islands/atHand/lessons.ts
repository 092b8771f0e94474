import type { PlanQuestion, PlanRequest } from '../../core/index.ts';
import { type Attempt, learntFrom } from '../../core/start/attempts.ts';
import type { AtHand } from './values.ts';

/** By what a tie is known among the tyings of a fitting: its record, or what it is called. */
export function tieNamed({ tie }: Pick<AtHand, 'tie'>): string {
  return tie.id ?? tie.label;
}

/** A tie that none of the tyings was in. */
export const anotherTie = '';

/** What is asked of the plan, with what the tyings so far teach of the next in this tie. */
export function withLessons<Q extends { readonly question: PlanQuestion | undefined; readonly request: PlanRequest | undefined }>(
  asked: Q,
  attempts: readonly Attempt[],
  tie: string,
): Q {
  const { question, request } = asked;
  if (attempts.length === 0 || !question || !request) return asked;
  const calibration = learntFrom(attempts, request, tie);
  return { ...asked, question: { ...question, calibration }, request: { ...request, calibration } };
}
