import Joi from 'joi';
import { fronts, takings } from '../core/body/frontDrop.ts';
import { jacketCuts, jacketWorn, lapelKinds } from '../core/jacket/jackets.ts';
import { manners } from '../core/knot/manners.ts';
import { contradictions } from '../core/measures/consistency.ts';
import { type Measure, measures } from '../core/measures/measures.ts';
import { dressCodes } from '../core/plan/dressCodes.ts';
import { likings } from '../core/plan/habits.ts';
import { prescribedPatterns } from '../core/plan/prescribedPatterns.ts';
import { completeRequest, type PlanQuestion } from '../core/plan/request.ts';
import { schools } from '../core/plan/schools.ts';
import { fabricCodes } from '../core/tie/fabrics.ts';
import { patternCodes } from '../core/tie/patterns.ts';
import { type KnownOfTie, neckwearKinds, tieEnds } from '../core/tie/tie.ts';
import type { LengthUnit } from '../core/units/length.ts';
import { usualWearer } from '../core/usual.ts';
import { buttons, oneOf, profile } from './atoms.ts';
import { type Checked, check, read } from './check.ts';
import { canonicalMoves, longestMoves } from './knotMoves.ts';
import { lengthOf, type Say, sayIn } from './lengths.ts';
import { worded } from './worded.ts';

/** The most moves a plan considers: beyond them no tie is long enough. */
export const mostMoves = 12;
const mostBesides = 8;

/**
 * Checks a plan's question: each measure's range, and what cannot be true together. Every
 * fault at once, in the reader's unit.
 */
export function checkPlanQuestion(input: unknown): Checked<PlanQuestion> {
  const units = unitsOf(input);
  const { value, faults } = read(schemas[units], input);
  const together = isWhole(value)
    ? contradictions(
        completeRequest(value),
        sayIn(units),
        faults.map(({ path }) => path),
      )
    : [];
  const all = [...faults, ...together];
  return isWhole(value) && all.length === 0 ? { value } : { faults: all };
}

/** Whether it has the parts that a question cannot do without; what is in them may still be wrong. */
function isWhole(input: unknown): input is PlanQuestion {
  return isObject(input) && isObject(input['client']) && isObject(input['tie']);
}

function isObject(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function unitsOf(input: unknown): LengthUnit {
  return typeof input === 'object' && input !== null && 'units' in input && input.units === 'in' ? 'in' : 'cm';
}

function planQuestionSchema(say: Say): Joi.ObjectSchema<PlanQuestion> {
  return worded(
    Joi.object<PlanQuestion>({
      client: group('The client', {
        ...lengths(measures.client, say, ['heightMm', 'neckMm']),
        frontDropMm: lengthOf(measures.client.frontDropMm, say).allow(null),
        openLoopMm: lengthOf(measures.client.openLoopMm, say).allow(null),
        crossedLoopMm: lengthOf(measures.client.crossedLoopMm, say).allow(null),
        frontDropHow: oneOf('How collar button to belt was measured', Object.keys(takings)),
        front: oneOf('The front', Object.keys(fronts)),
        blade: oneOf('The blade side', ['right', 'left']),
      }).required(),
      shirt: group('The shirt', {
        ...lengths(measures.shirt, say, []),
        standMm: lengthOf(measures.shirt.standMm, say).allow(null),
        buttonsMm: buttons(say),
        pointsHeld: worded(Joi.boolean(), { 'boolean.base': 'Fastened points: either true or false.' }),
      }),
      jacket: group('The jacket', {
        ...lengths(measures.jacket, say, ['lapelMm']),
        buttoningMm: lengthOf(measures.jacket.buttoningMm, say).allow(null),
        worn: oneOf('How the jacket is worn', Object.keys(jacketWorn)),
        lapelKind: oneOf('The lapel', Object.keys(lapelKinds)),
        cut: oneOf('The cut', Object.keys(jacketCuts)),
        waistcoat: worded(Joi.boolean(), { 'boolean.base': 'Waistcoat: either true or false.' }),
      }).allow(null),
      tie: tieSchema(say).required(),
      aim: group('The aim', {
        ...lengths(measures.aim, say, []),
        level: worded(Joi.boolean(), { 'boolean.base': 'Ends level: either true or false.' }),
      }),
      taste: group('The taste', { ...likingFields, ...ruleFields, ...searchFields }),
      occasion: group('The occasion', {
        dressCode: oneOf('The dress code', Object.keys(dressCodes)).allow(null),
        patterns: oneOf('The prescribed patterns', Object.keys(prescribedPatterns)).allow(null),
      }),
      liking: group('The preferences', likingFields),
      rules: group('The rules', ruleFields),
      search: group('The search', searchFields),
      calibration: calibrationSchema,
      units: oneOf('The unit', ['cm', 'in']),
    }).required(),
    { 'object.base': 'The question must be an object.', 'any.required': 'The question is empty.' },
  );
}

const ruleFields = Object.fromEntries(
  Object.entries(schools).map(([key, { label, schools: each }]) => [key, oneOf(`“${label}”`, Object.keys(each))]),
);

const searchFields = {
  maxMoves: worded(Joi.number().integer().min(3).max(mostMoves), {
    'number.base': 'The most moves must be a number.',
    'number.integer': 'The most moves must be a whole number.',
    'number.min': 'A knot has at least 3 moves.',
    'number.max': `A plan looks at ${mostMoves} moves at most.`,
  }),
  knots: oneOf('The choice of knots', ['named', 'all']),
  manner: oneOf('The family of knots', [...Object.keys(manners), 'any']),
  also: worded(Joi.array().items(Joi.string().custom(canonicalMoves)).max(mostBesides), {
    'array.base': 'The knots looked at besides must be a list.',
    'array.max': `At most ${mostBesides} knots can be looked at besides.`,
  }),
};

const likingFields = Object.fromEntries(
  Object.entries(likings).map(([key, choices]) => [key, oneOf(`The preference “${key}”`, Object.keys(choices))]),
);

const mostKnotsLearnt = 200;
/** What is learnt comes from a program, not from a person's fields. */
const learnt = (limit: number) => Joi.number().strict().min(-limit).max(limit).required();
const sure = (limit: number) => Joi.number().strict().min(0).max(limit).required();
const along = learnt(1_000_000);
const learntShare = {
  share: learnt(0.9),
  sd: sure(2),
  along: Joi.object({ offsetMm: along, openMm: along, crossedMm: along }),
};
const learntLength = Joi.object({ meanMm: learnt(600), sdMm: sure(300) }).required();
const shapeOff = {
  top: learnt(0.9),
  bottom: learnt(0.9).optional(),
  height: learnt(0.9),
  depth: learnt(3).optional(),
  leanDeg: learnt(60),
};
const calibrationSchema = worded(
  Joi.object({
    takeUp: Joi.object({
      ...learntShare,
      knots: Joi.object().pattern(Joi.string().max(longestMoves), Joi.object(learntShare)).max(mostKnotsLearnt),
    }).required(),
    hand: learntLength,
    client: Joi.object({ meanMm: learnt(600), sdMm: sure(300).allow(null) }).required(),
    loops: Joi.object({
      open: learntLength,
      crossed: learntLength,
      along: Joi.object({ openMm2: along, crossedMm2: along, eachOtherMm2: along }).required(),
    }),
    shape: Joi.object({
      ...shapeOff,
      knots: Joi.object().pattern(Joi.string().max(longestMoves), Joi.object(shapeOff)).max(mostKnotsLearnt),
    }),
  }),
  { '*': 'The calibration must hold take-up, hand and client, each with its mean and how sure it is.' },
);

const knownKind = worded(Joi.any().valid(...neckwearKinds), {
  'any.only': `Only a long tie can be planned for: kind must be one of: ${neckwearKinds.join(', ')}.`,
});

function tieSchema(say: Say): Joi.ObjectSchema<KnownOfTie> {
  return group('The tie', {
    kind: knownKind,
    ...lengths(measures.tie, say, ['lengthMm', 'bladeMm', 'thicknessMm']),
    motifMm: lengthOf(measures.motif.motifMm, say).allow(null),
    fabric: oneOf('The fabric', fabricCodes),
    pattern: oneOf('The pattern', patternCodes),
    ends: oneOf('The ends', Object.keys(tieEnds)),
    profile: profile(say),
  });
}

/** Checks a tie by itself; paths count from the tie. */
export function checkTie(input: unknown, units: LengthUnit): Checked<KnownOfTie> {
  const checked = check(tieSchema(sayIn(units)), input);
  if (checked.faults) return checked;
  const together = contradictions(completeRequest({ client: usualWearer, tie: checked.value }), sayIn(units));
  const faults = together
    .filter(({ path }) => path.startsWith('tie.'))
    .map(({ path, message }) => ({ path: path.slice('tie.'.length), message }));
  return faults.length > 0 ? { faults } : checked;
}

function group(label: string, fields: Joi.SchemaMap): Joi.ObjectSchema {
  return worded(Joi.object(fields), {
    'any.required': `${label} is missing.`,
    'object.base': `${label} must be an object with its measures.`,
  });
}

function lengths(table: Readonly<Record<string, Measure>>, say: Say, required: readonly string[]): Joi.SchemaMap {
  return Object.fromEntries(
    Object.entries(table).map(([key, measure]) => {
      const schema = lengthOf(measure, say);
      return [key, required.includes(key) ? schema.required() : schema];
    }),
  );
}

/** Faults are worded in the reader's unit, so there is one schema for each; building them is the slow part. */
const schemas: Readonly<Record<LengthUnit, Joi.ObjectSchema<PlanQuestion>>> = {
  cm: planQuestionSchema(sayIn('cm')),
  in: planQuestionSchema(sayIn('in')),
};
