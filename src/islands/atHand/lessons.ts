import type { Wardrobe } from '../../contract/records/records.ts';
import { type LearntHere, nothingLearnt } from '../../core/fitbook/here.ts';
import { handOf } from '../../core/fitbook/tying.ts';
import { type Attempt, learntFrom } from '../../core/start/attempts.ts';
import type { Untaught } from './useAtHand.ts';
import type { AtHand } from './values.ts';

/** By what a tie is known among the tyings of a fitting: its record, or what it is called. */
export function tieNamed({ tie }: Pick<AtHand, 'tie'>): string {
  return tie.id ?? tie.label;
}

/** A tie that none of the tyings was in. */
export const anotherTie = '';

/** What the studio’s book says of whoever stands at hand; nothing of a client whose wardrobe is still on its way. */
export function learntOf(wardrobe: Wardrobe, { client, tiedOn }: Pick<AtHand, 'client' | 'tiedOn'>): LearntHere {
  const { learnt, studio } = wardrobe;
  const stylist = handOf({ personId: studio.person?.id ?? null, clientId: client.id, neck: tiedOn });
  if (learnt.clientId === client.id) return { ...learnt, stylist };
  return { ...nothingLearnt, known: learnt.known, looks: learnt.looks, counts: learnt.counts, clientId: client.id, stylist };
}

/** What is asked of the plan, untaught, with what the book and the tyings so far teach of the next in this tie. */
export function withLessons({ question, request }: Untaught, attempts: readonly Attempt[], tie: string, learnt: LearntHere): Untaught {
  const calibration = learntFrom(attempts, request, tie, learnt);
  if (calibration === request.calibration) return { question, request };
  return { question: { ...question, calibration }, request: { ...request, calibration } };
}
