import { assumeWearer, type BarelyKnown } from '../../core/body/assumed.ts';
import { uncalibrated } from '../../core/fitbook/calibration.ts';
import { effectName } from '../../core/fitbook/effects.ts';
import type { LearntHere } from '../../core/fitbook/here.ts';
import { completeRequest, type PlanQuestion } from '../../core/index.ts';
import { isSound } from '../../core/measures/sound.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import type { Outfit } from '../../core/wardrobe/judgeTie.ts';
import { anotherTie, withLessons } from './lessons.ts';
import type { AtHand, QuestionEntries } from './values.ts';

/** The question as it stands in the fields, with what was never taken assumed. Whether its lengths are lengths is not looked at. */
export function questionIn(entries: QuestionEntries, units: LengthUnit): PlanQuestion {
  const known = { ...entries.client } as PlanQuestion['client'] & BarelyKnown;
  return { ...entries, ...assumeWearer(known, entries.calibration ?? uncalibrated), units } as PlanQuestion;
}

/** The same; `undefined` while a length in it is none, is out of range, or contradicts another. */
export function soundQuestion(entries: QuestionEntries, units: LengthUnit): PlanQuestion | undefined {
  const question = questionIn(entries, units);
  return isSound(question) ? question : undefined;
}

/** The outfit at hand without its tie, with what is known of the ties given; `undefined` while a measure of it is at fault. */
export function outfitAtHand(
  { question, colours, attempts }: Pick<AtHand, 'question' | 'colours' | 'attempts'>,
  units: LengthUnit,
  learnt: LearntHere,
  ties: readonly { readonly id: string }[] = [],
): Outfit | undefined {
  const sound = soundQuestion(question, units);
  if (!sound) return undefined;
  const untaught = { question: sound, request: completeRequest(sound) };
  const taught = (tie: string) => withLessons(untaught, attempts, tie, learnt).question;
  // Of a tie that nothing was seen of only what is the client’s and the hand’s was learnt.
  const { tie: _, ...dressed } = taught(anotherTie);
  const isKnown = ({ id }: { readonly id: string }) =>
    learnt.counts[effectName('tie', id)] !== undefined || attempts.some(({ tie }) => tie === id);
  const known = ties.filter(isKnown).flatMap(({ id }) => {
    const { calibration } = taught(id);
    return calibration ? [[id, calibration] as const] : [];
  });
  return {
    question: dressed,
    ...(known.length > 0 && { ofTies: Object.fromEntries(known) }),
    shirtColour: colours.shirt,
    jacketColour: colours.jacket,
    trousersColour: colours.trousers,
  };
}
