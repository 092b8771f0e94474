import Joi from 'joi';
import type { KnotPlan, PlanQuestion, PlanRequest } from '../core/index.ts';
import { wordPattern } from '../core/knot/format.ts';
import { someColour as colour, identifier as id, title as label, mostTieColours } from './atoms.ts';
import { type Checked, check } from './check.ts';
import { checkPlanQuestion } from './planQuestion.ts';
import { longestNote } from './records/kinds.ts';

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

/** What a draft and a kept fitting have in common. */
const draftFields = {
  id: id('The fitting').required().messages({ 'any.required': 'The fitting has no identifier.' }),
  clientId: id('The client').allow(null).default(null),
  shirtId: id('The shirt').allow(null).default(null),
  jacketId: id('The jacket').allow(null).default(null),
  tieId: id('The tie').allow(null).default(null),
  clientName: label('The client’s name', longestLabel),
  shirtLabel: label('The shirt’s name', longestLabel),
  jacketLabel: label('The jacket’s name', longestLabel).optional().allow(null).default(null),
  tieLabel: label('The tie’s name', longestLabel),
  cloth: Joi.object({
    tie: Joi.array().items(colour).min(1).max(mostTieColours).required(),
    shirt: colour.required(),
    jacket: colour.allow(null).default(null),
  }).required(),
  note: Joi.string()
    .allow('')
    .max(longestNote)
    .default('')
    .messages({
      'string.max': `A note holds ${longestNote} characters at most.`,
    }),
};

const draftSchema = Joi.object<FittingDraft>({
  ...draftFields,
  question: Joi.any().required().messages({ 'any.required': 'The measures are missing.' }),
  knot: Joi.string().max(120).required().messages({ 'any.required': 'Choose a knot before saving.' }),
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

const keptSchema = Joi.object<Fitting>({
  ...draftFields,
  knot: Joi.string().pattern(wordPattern).required(),
  request: Joi.object().unknown().required().messages({ 'any.required': 'The measures are missing.' }),
  answer: Joi.object().unknown().required().messages({ 'any.required': 'The answer is missing.' }),
  createdAt: Joi.string().isoDate().required().messages({ '*': 'The day of the fitting is missing or no date.' }),
}).required();

/** Checks a fitting that was kept elsewhere: its measures by today's rules, its answer as it was. */
export function checkKeptFitting(input: unknown): Checked<Fitting> {
  const kept = check(keptSchema, input);
  if (kept.faults) return kept;
  const { faults } = checkPlanQuestion(kept.value.request);
  return faults ? { faults: faults.map(({ path, message }) => ({ path: `request.${path}`, message })) } : kept;
}
