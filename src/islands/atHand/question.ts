import type { PlanQuestion } from '../../core/index.ts';
import { isSound } from '../../core/measures/sound.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import type { Outfit } from '../../core/wardrobe/judgeTie.ts';
import type { AtHand, QuestionEntries } from './values.ts';

/** The question as it stands in the fields; `undefined` while a length in it is none, is missing, out of range, or contradicts another. */
export function soundQuestion(entries: QuestionEntries, units: LengthUnit): PlanQuestion | undefined {
  // Whether the lengths are lengths is what is found out here.
  const question = { ...entries, units } as PlanQuestion;
  return isSound(question) ? question : undefined;
}

/** The outfit at hand without its tie; `undefined` while a measure of it is at fault. */
export function outfitAtHand({ question, colours }: Pick<AtHand, 'question' | 'colours'>, units: LengthUnit): Outfit | undefined {
  const sound = soundQuestion(question, units);
  if (!sound) return undefined;
  const { tie: _, ...dressed } = sound;
  return { question: dressed, shirtColour: colours.shirt };
}
