import Joi from 'joi';
import type { KnotPlan, PlanQuestion, PlanRequest } from '../core/index.ts';
import { type Checked, check } from './check.ts';
import { checkPlanQuestion } from './planQuestion.ts';
import { mostTieColours } from './records.ts';

/** The cloth a fitting is drawn in, so that an old one looks as it did. */
export interface ClothColours {
  readonly tie: readonly string[];
  readonly shirt: string;
  readonly jacket: string | null;
}

/** What a stylist saves. The id is made by the sender, so that a repeated save is the same fitting. */
export interface FittingDraft {
  readonly id: string;
  readonly clientId: string | null;
  readonly shirtId: string | null;
  readonly jacketId: string | null;
  readonly tieId: string | null;
  readonly clientName: string;
  readonly shirtLabel: string;
  readonly jacketLabel: string | null;
  readonly tieLabel: string;
  readonly cloth: ClothColours;
  readonly question: PlanQuestion;
  /** The chosen knot's canonical word. */
  readonly knot: string;
  readonly note: string;
}

/** A kept fitting: the inputs and the answer as they were, whatever has changed since. */
export interface Fitting extends Omit<FittingDraft, 'question'> {
  readonly request: PlanRequest;
  readonly answer: KnotPlan;
  /** ISO 8601. */
  readonly createdAt: string;
}

export interface FittingSummary
  extends Pick<Fitting, 'id' | 'clientName' | 'shirtLabel' | 'jacketLabel' | 'tieLabel' | 'cloth' | 'knot' | 'note' | 'createdAt'> {
  readonly names: readonly string[];
  readonly tailDropMm: number;
  readonly tipDropMm: number;
}

const longestLabel = 120;
export const longestNote = 2000;

const colour = Joi.string()
  .pattern(/^#[0-9a-f]{6}$/)
  .messages({ 'string.pattern.base': 'A colour is written as # and six hexadecimal digits.' });

const id = (label: string) =>
  Joi.string()
    .guid()
    .messages({ 'string.guid': `${label} is not a valid identifier.`, 'string.base': `${label} is not a valid identifier.` });

const label = (what: string) =>
  Joi.string()
    .trim()
    .max(longestLabel)
    .messages({
      'any.required': `${what} is missing.`,
      'string.base': `${what} is missing.`,
      'string.empty': `${what} is missing.`,
      'string.trim': `${what} starts or ends with a space.`,
      'string.max': `${what} is longer than ${longestLabel} characters.`,
    });

const draftSchema = Joi.object<FittingDraft>({
  id: id('The fitting').required().messages({ 'any.required': 'The fitting has no identifier.' }),
  clientId: id('The client').allow(null).default(null),
  shirtId: id('The shirt').allow(null).default(null),
  jacketId: id('The jacket').allow(null).default(null),
  tieId: id('The tie').allow(null).default(null),
  clientName: label('The client’s name').required(),
  shirtLabel: label('The shirt’s name').required(),
  jacketLabel: label('The jacket’s name').allow(null).default(null),
  tieLabel: label('The tie’s name').required(),
  cloth: Joi.object({
    tie: Joi.array().items(colour).min(1).max(mostTieColours).required(),
    shirt: colour.required(),
    jacket: colour.allow(null).default(null),
  }).required(),
  question: Joi.any().required().messages({ 'any.required': 'The measures are missing.' }),
  knot: Joi.string().max(120).required().messages({ 'any.required': 'Choose a knot before saving.' }),
  note: Joi.string()
    .allow('')
    .max(longestNote)
    .default('')
    .messages({
      'string.max': `A note holds ${longestNote} characters at most.`,
    }),
})
  .required()
  .messages({ 'object.base': 'A fitting must be an object.', 'any.required': 'The fitting is empty.' });

/** Checks a fitting and the measures in it together. */
export function checkFittingDraft(input: unknown): Checked<FittingDraft> {
  const draft = check(draftSchema, input);
  const given = typeof input === 'object' && input !== null && 'question' in input ? input.question : undefined;
  const question = given === undefined ? undefined : checkPlanQuestion(given);
  const faults = [
    ...(draft.faults ?? []),
    ...(question?.faults ?? []).map(({ path, message }) => ({ path: path ? `question.${path}` : 'question', message })),
  ];
  if (draft.value && question?.value) return { value: { ...draft.value, question: question.value } };
  return { faults };
}
