import Joi from 'joi';
import type { FindingCode } from '../core/fitbook/findings.ts';
import type { TyingFigures } from '../core/fitbook/tying.ts';
import type { KnotPlan, PlanQuestion, PlanRequest, SetEnd } from '../core/index.ts';
import { wordPattern } from '../core/knot/format.ts';
import { mostColours } from '../core/measures/measures.ts';
import type { Attempt } from '../core/start/attempts.ts';
import { someColour as colour, identifier as id, title as label } from './atoms.ts';
import { attemptsSchema } from './attempts.ts';
import { type Checked, check } from './check.ts';
import { answerVersion, broughtUp } from './keptAnswer.ts';
import { canonicalMoves, longestMoves } from './knotMoves.ts';
import { checkPlanQuestion } from './planQuestion.ts';
import { longestLine, longestNote } from './records/kinds/kindOf.ts';
import { worded } from './worded.ts';

/** The colours a fitting is drawn in, so that an old one looks as it did; what was never entered is none of them. */
export interface WornColours {
  readonly tie: readonly string[];
  readonly shirt: string | null;
  readonly jacket: string | null;
  readonly trousers: string | null;
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
  readonly cloth: WornColours;
  readonly question: PlanQuestion;
  /** The chosen knot's canonical moves. */
  readonly knot: string;
  readonly note: string;
  /** The tyings there were, in their order; a start known to work is one of them. */
  readonly attempts: readonly Attempt[];
}

/** A kept fitting: the inputs and the answer as they were, whatever has changed since. */
export interface Fitting extends Omit<FittingDraft, 'question'> {
  /** Who dressed the client; `null` where nobody was chosen on the device. */
  readonly personId: string | null;
  readonly personName: string | null;
  readonly request: PlanRequest;
  readonly answer: KnotPlan;
  /** The shape of question and answer. */
  readonly answerVersion: number;
  /** ISO 8601. */
  readonly createdAt: string;
}

export interface FittingSummary
  extends Pick<
    Fitting,
    'id' | 'clientName' | 'shirtLabel' | 'jacketLabel' | 'tieLabel' | 'personName' | 'cloth' | 'knot' | 'note' | 'createdAt'
  > {
  readonly title: string;
  readonly blade: 'right' | 'left';
  /** `null` where what was answered can’t be read any more. */
  readonly set: SetEnd | null;
  /** How it came out; `null` while nobody has said. */
  readonly result: FittingResult | null;
}

/** What became of a fitting, in short. */
export interface FittingResult {
  /** Against the belt top, lower is positive. */
  readonly tipOffMm: number | null;
  readonly tries: number;
  readonly findings: readonly FindingCode[];
  readonly counts: boolean;
  /** What it was planned and judged by. */
  readonly figures: TyingFigures;
}

/** Which fittings are looked for, and in what order. */
export interface FittingsWanted {
  readonly find?: string;
  /** Only of this client. */
  readonly client?: string;
  /** Only in this tie. */
  readonly tie?: string;
  readonly only?: FittingsOnly;
  readonly by?: FittingsBy;
  readonly down?: boolean;
  readonly from?: number;
  /** The last fitting of the page before, by its id; goes before `from`. */
  readonly after?: string;
}

export const fittingsOnly = {
  all: { label: 'all' },
  unchecked: { label: 'not checked yet' },
  outside: { label: 'outside tolerance' },
  findings: { label: 'with findings' },
} as const;
export type FittingsOnly = keyof typeof fittingsOnly;

export const fittingsBy = ['day', 'client', 'tie', 'knot', 'off'] as const;
export type FittingsBy = (typeof fittingsBy)[number];

/** What a draft and a kept fitting have in common. */
const draftFields = {
  id: worded(id('The fitting').required(), { 'any.required': 'The fitting has no identifier.' }),
  clientId: id('The client').allow(null).default(null),
  shirtId: id('The shirt').allow(null).default(null),
  jacketId: id('The jacket').allow(null).default(null),
  tieId: id('The tie').allow(null).default(null),
  clientName: label('The client’s name', longestLine),
  shirtLabel: label('The shirt’s name', longestLine),
  jacketLabel: label('The jacket’s name', longestLine).optional().allow(null).default(null),
  tieLabel: label('The tie’s name', longestLine),
  cloth: Joi.object({
    tie: Joi.array().items(colour).max(mostColours).required(),
    shirt: colour.allow(null).default(null),
    jacket: colour.allow(null).default(null),
    trousers: colour.allow(null).default(null),
  }).required(),
  attempts: attemptsSchema,
  note: worded(Joi.string().allow('').max(longestNote).default(''), {
    'string.max': `A note holds ${longestNote} characters at most.`,
  }),
};

const draftSchema = worded(
  Joi.object<FittingDraft>({
    ...draftFields,
    question: worded(Joi.any().required(), { 'any.required': 'The measures are missing.' }),
    knot: worded(Joi.string().max(longestMoves).custom(canonicalMoves).required(), { 'any.required': 'Choose a knot before saving.' }),
  }).required(),
  { 'object.base': 'A fitting must be an object.', 'any.required': 'The fitting is empty.' },
);

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
  personId: id('Who was dressing').allow(null).default(null),
  personName: label('The name of whoever was dressing', longestLine).optional().allow(null).default(null),
  knot: Joi.string().pattern(wordPattern).required(),
  request: worded(Joi.object().unknown().required(), { 'any.required': 'The measures are missing.' }),
  answer: worded(Joi.object().unknown().required(), { 'any.required': 'The answer is missing.' }),
  answerVersion: worded(Joi.number().integer().min(1).max(answerVersion).default(1), {
    'number.max': 'The fitting was kept by a later Ropewalk than this one.',
  }),
  createdAt: worded(Joi.string().isoDate().required(), { '*': 'The day of the fitting is missing or not a date.' }),
}).required();

/** Checks a fitting that was kept elsewhere: its measures by today's rules, its answer as it was, brought to today's shape. */
export function checkKeptFitting(input: unknown): Checked<Fitting> {
  const kept = check(keptSchema, input);
  if (kept.faults) return kept;
  const { request, answer, answerVersion: version } = kept.value;
  const { faults } = checkPlanQuestion(request);
  if (faults) return { faults: faults.map(({ path, message }) => ({ path: `request.${path}`, message })) };
  try {
    return { value: { ...kept.value, ...broughtUp({ version, request, answer }), answerVersion } };
  } catch {
    return { faults: [{ path: 'answer', message: 'The answer of the fitting can’t be read.' }] };
  }
}
