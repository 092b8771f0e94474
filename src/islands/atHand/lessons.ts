import { type Attempt, learntFrom } from '../../core/start/attempts.ts';
import type { Untaught } from './useAtHand.ts';
import type { AtHand } from './values.ts';

/** By what a tie is known among the tyings of a fitting: its record, or what it is called. */
export function tieNamed({ tie }: Pick<AtHand, 'tie'>): string {
  return tie.id ?? tie.label;
}

/** A tie that none of the tyings was in. */
export const anotherTie = '';

/** What is asked of the plan, untaught, with what the tyings so far teach of the next in this tie. */
export function withLessons({ question, request }: Untaught, attempts: readonly Attempt[], tie: string): Untaught {
  if (attempts.length === 0) return { question, request };
  const calibration = learntFrom(attempts, request, tie);
  return { question: { ...question, calibration }, request: { ...request, calibration } };
}
