import Joi from 'joi';
import { takings } from '../../core/body/frontDrop.ts';
import { requestDefaults } from '../../core/index.ts';
import { contradictions } from '../../core/measures/consistency.ts';
import type { Fault } from '../../core/measures/faults.ts';
import { type Measure, measures } from '../../core/measures/measures.ts';
import { completeRequest } from '../../core/plan/request.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { buttons, identifier, mostTieColours, oneOf, profile, someColour, text, title } from '../atoms.ts';
import { type Checked, read } from '../check.ts';
import { lengthOf, type Say, sayIn } from '../lengths.ts';
import { canonicalWord } from '../words.ts';
import type { Field } from './field.ts';
import { fieldsOf, kindCodes, kinds } from './kinds.ts';
import type { Kind, RecordOf } from './records.ts';

/**
 * Checks what was entered of a record: each field's range, and what cannot be true together.
 * Every fault at once, lengths in the reader's unit. `version` and `archived` may be left out
 * of a new record.
 */
export function checkRecord<K extends Kind>(kind: K, input: unknown, units: LengthUnit): Checked<RecordOf[K]> {
  const { value, faults } = read(schemas[units][kind], input);
  const isWhole = typeof value === 'object' && value !== null;
  const together = isWhole
    ? heldTogether(
        kind,
        value,
        sayIn(units),
        faults.map(({ path }) => path),
      )
    : [];
  const all = [...faults, ...together];
  return isWhole && all.length === 0 ? { value: value as RecordOf[K] } : { faults: all };
}

/** Who a piece is supposed to be worn by while nobody wears it. */
const anyone = { heightMm: 1780, neckMm: 395 } as const;
const anyTie = { lengthMm: 1470, bladeMm: 80, thicknessMm: 3 } as const;

function heldTogether(kind: Kind, value: object, say: Say, faulty: readonly string[]): Fault[] {
  const { part } = kinds[kind];
  const own: Fault[] = [];
  if ('shares' in value && 'colours' in value && Array.isArray(value.shares) && Array.isArray(value.colours)) {
    if (value.shares.length !== value.colours.length) own.push({ path: 'shares', message: 'Each colour has one share.' });
  }
  if (part === undefined) return own;
  const pieces = {
    shirt: requestDefaults.shirt,
    jacket: null,
    tie: anyTie,
    [part]: value,
  };
  const inPart = (path: string) => path.startsWith(`${part}.`);
  return [
    ...own,
    ...contradictions(
      completeRequest({ client: anyone, ...pieces }),
      say,
      faulty.map((path) => `${part}.${path}`),
    )
      .filter(({ path }) => inPart(path))
      .map(({ path, message }) => ({ path: path.slice(part.length + 1), message })),
  ];
}

const wholeShare = 'Each share is a whole number from 1 to 100.';
const takenKeys = ['heightMm', 'neckMm', 'frontDropMm'] as const;
const mostTakings = 500;

type Schemas = Readonly<Record<Kind, Joi.ObjectSchema>>;

const schemas: Readonly<Record<LengthUnit, Schemas>> = { cm: schemasIn(sayIn('cm')), in: schemasIn(sayIn('in')) };

function schemasIn(say: Say): Schemas {
  return Object.fromEntries(kindCodes.map((kind) => [kind, schemaOf(kind, say)])) as unknown as Schemas;
}

function schemaOf(kind: Kind, say: Say): Joi.ObjectSchema {
  const { one } = kinds[kind];
  return Joi.object({
    id: identifier(`The ${one}`).required(),
    version: Joi.number().integer().min(0).default(0),
    archived: Joi.boolean().default(false),
    ...Object.fromEntries(fieldsOf(kind).map(([key, field]) => [key, fieldSchema(field, say)])),
  })
    .required()
    .messages({ 'object.base': `The ${one} must be an object.`, 'any.required': `The ${one} is empty.` });
}

function fieldSchema(field: Field, say: Say): Joi.Schema {
  switch (field.kind) {
    case 'text':
      return field.required ? title(field.label, field.longest) : text(field.label, field.longest).allow('').default('');
    case 'length':
      return field.optional ? lengthOf(field.measure, say).allow(null).default(null) : lengthOf(field.measure, say).required();
    case 'buttons':
      return buttons(say).required();
    case 'choice': {
      const choice = oneOf(field.label, Object.keys(field.choices));
      return field.optional === undefined ? choice.required() : choice.allow(null).default(null);
    }
    case 'choices':
      return Joi.array()
        .items(oneOf(field.label, Object.keys(field.choices)))
        .unique()
        .default([])
        .messages({ 'array.base': `${field.label} must be a list.`, 'array.unique': `${field.label}: one is named twice.` });
    case 'flag':
      return Joi.boolean()
        .default(false)
        .messages({ 'boolean.base': `${field.label} is either yes or no.` });
    case 'colour':
      return field.optional ? someColour.allow(null).default(null) : someColour.required();
    case 'colours':
      return Joi.array()
        .items(someColour)
        .min(1)
        .max(mostTieColours)
        .required()
        .messages({
          'array.base': 'The colours must be a list.',
          'array.min': 'There is at least one colour.',
          'array.max': `There are at most ${mostTieColours} colours.`,
          'any.required': 'The colours are missing.',
        });
    case 'shares':
      return Joi.array()
        .items(Joi.number().integer().min(1).max(100).messages({ '*': wholeShare }))
        .min(1)
        .max(mostTieColours)
        .allow(null)
        .default(null)
        .custom((shares: number[] | null, helpers) =>
          shares && shares.reduce((sum, share) => sum + share, 0) !== 100
            ? helpers.message({ custom: `The shares must make up 100 %, not ${shares.reduce((sum, share) => sum + share, 0)} %.` })
            : shares,
        )
        .messages({ 'array.base': wholeShare, 'array.min': wholeShare, 'array.max': wholeShare });
    case 'reference': {
      const reference = identifier(field.label);
      return field.optional === undefined
        ? reference.required().messages({ 'string.empty': `${field.label}: choose one.` })
        : reference.allow(null).default(null);
    }
    case 'knot':
      return field.required
        ? Joi.string()
            .required()
            .custom(canonicalWord)
            .messages({
              'any.required': enterMoves(field.label),
              'string.base': enterMoves(field.label),
              'string.empty': enterMoves(field.label),
            })
        : Joi.string().allow(null).default(null).custom(canonicalWord);
    case 'measures':
      return takenMeasures(say);
    case 'profile':
      return profile(say).default([]);
  }
}

function enterMoves(label: string): string {
  return `${label}: enter its moves, as Li Ro Li Co T, or its name.`;
}

function takenMeasures(say: Say): Joi.ArraySchema {
  const of = (key: (typeof takenKeys)[number]): Measure => measures.client[key];
  return Joi.array()
    .items(
      Joi.object({
        measure: Joi.any()
          .valid(...takenKeys)
          .required(),
        mm: Joi.any()
          .required()
          // biome-ignore lint/suspicious/noThenProperty: the schema library's own word; nothing awaits this.
          .when('measure', { switch: takenKeys.map((key) => ({ is: key, then: lengthOf(of(key), say).required() })) }),
        how: oneOf('How it was taken', Object.keys(takings)).required(),
        takenOn: Joi.string()
          .pattern(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/)
          .required()
          .messages({ '*': 'The day must be written as year-month-day.' }),
      }),
    )
    .max(mostTakings)
    .unique((a, b) => a.measure === b.measure && a.takenOn === b.takenOn)
    .default([])
    .messages({ 'array.unique': 'A measure was taken twice on one day: keep one of them.', 'array.base': 'The measures must be a list.' });
}
