import Joi from 'joi';
import { fronts, takings } from '../core/body/frontDrop.ts';
import { jacketCuts, jacketWorn, lapelKinds } from '../core/jacket/jackets.ts';
import { manners } from '../core/knot/manners.ts';
import { contradictions } from '../core/measures/consistency.ts';
import { type Measure, measures } from '../core/measures/measures.ts';
import { likings } from '../core/plan/habits.ts';
import { completeRequest, type PlanQuestion } from '../core/plan/request.ts';
import { fabricCodes } from '../core/tie/fabrics.ts';
import { patternCodes } from '../core/tie/patterns.ts';
import { type KnownOfTie, tieEnds } from '../core/tie/tie.ts';
import type { LengthUnit } from '../core/units/length.ts';
import { buttons, oneOf, profile } from './atoms.ts';
import { type Checked, check, read } from './check.ts';
import { lengthOf, type Say, sayIn } from './lengths.ts';
import { canonicalWord } from './words.ts';

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

/** Faults are worded in the reader's unit, so there is one schema for each; building them is the slow part. */
const schemas: Readonly<Record<LengthUnit, Joi.ObjectSchema<PlanQuestion>>> = {
  cm: planQuestionSchema(sayIn('cm')),
  in: planQuestionSchema(sayIn('in')),
};

function unitsOf(input: unknown): LengthUnit {
  return typeof input === 'object' && input !== null && 'units' in input && input.units === 'in' ? 'in' : 'cm';
}

function planQuestionSchema(say: Say): Joi.ObjectSchema<PlanQuestion> {
  return Joi.object<PlanQuestion>({
    client: group('The client', {
      ...lengths(measures.client, say, ['heightMm', 'neckMm']),
      frontDropMm: lengthOf(measures.client.frontDropMm, say).allow(null),
      frontDropHow: oneOf('How the front drop was taken', Object.keys(takings)),
      front: oneOf('The front', Object.keys(fronts)),
      blade: oneOf('The blade side', ['right', 'left']),
    }).required(),
    shirt: group('The shirt', {
      ...lengths(measures.shirt, say, []),
      buttonsMm: buttons(say),
      pointsHeld: Joi.boolean().messages({ 'boolean.base': 'Whether the points are fastened is either true or false.' }),
    }),
    jacket: group('The jacket', {
      ...lengths(measures.jacket, say, ['lapelMm']),
      buttoningMm: lengthOf(measures.jacket.buttoningMm, say).allow(null),
      worn: oneOf('How the jacket is worn', Object.keys(jacketWorn)),
      lapelKind: oneOf('The lapel', Object.keys(lapelKinds)),
      cut: oneOf('The cut', Object.keys(jacketCuts)),
      waistcoat: Joi.boolean().messages({ 'boolean.base': 'Waistcoat is either true or false.' }),
    }).allow(null),
    tie: tieSchema(say).required(),
    aim: group('The aim', lengths(measures.aim, say, [])),
    taste: group('The taste', {
      collarRule: oneOf('The collar rule', ['thirds', 'proportion']),
      lapelRule: oneOf('The lapel rule', ['match', 'within-inch']),
      maxMoves: Joi.number()
        .integer()
        .min(3)
        .max(mostMoves)
        .messages({
          'number.base': 'The most moves must be a number.',
          'number.integer': 'The most moves must be a whole number.',
          'number.min': 'A knot has at least 3 moves.',
          'number.max': `A plan looks at ${mostMoves} moves at most.`,
        }),
      knots: oneOf('The choice of knots', ['named', 'all']),
      also: Joi.array()
        .items(Joi.string().custom(canonicalWord))
        .max(mostBesides)
        .messages({
          'array.base': 'The words looked at besides are a list.',
          'array.max': `At most ${mostBesides} words can be looked at besides.`,
        }),
      manner: oneOf('The family of knots', [...Object.keys(manners), 'any']),
      ...Object.fromEntries(Object.entries(likings).map(([key, choices]) => [key, oneOf(`The liking “${key}”`, Object.keys(choices))])),
    }),
    units: oneOf('The unit', ['cm', 'in']),
  })
    .required()
    .messages({ 'object.base': 'The question must be an object.', 'any.required': 'The question is empty.' });
}

function tieSchema(say: Say): Joi.ObjectSchema<KnownOfTie> {
  return group('The tie', {
    ...lengths(measures.tie, say, ['lengthMm', 'bladeMm', 'thicknessMm']),
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
  const { heightMm, neckMm } = anyone;
  const together = contradictions(completeRequest({ client: { heightMm, neckMm }, tie: checked.value }), sayIn(units));
  const faults = together
    .filter(({ path }) => path.startsWith('tie.'))
    .map(({ path, message }) => ({ path: path.slice('tie.'.length), message }));
  return faults.length > 0 ? { faults } : checked;
}

/** Who a tie is supposed to go around while nobody wears it. */
const anyone = { heightMm: 1780, neckMm: 395 } as const;

function group(label: string, fields: Joi.SchemaMap): Joi.ObjectSchema {
  return Joi.object(fields).messages({
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
