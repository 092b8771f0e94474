import { checkPlanQuestion } from '../../contract/planQuestion.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import type { Outfit } from '../../core/wardrobe/judgeTie.ts';
import type { AtHand } from './values.ts';

/** The outfit that stands on the bench, without its tie; `undefined` while a measure of it is at fault. */
export function outfitAtHand(values: AtHand, units: LengthUnit): Outfit | undefined {
  const { value } = checkPlanQuestion({ ...values.question, units });
  if (!value) return undefined;
  const { tie: _, ...question } = value;
  return { question, shirtColour: values.cloth.shirt };
}
