import Joi from 'joi';
import { requestDefaults } from '../../core/index.ts';
import { contradictions } from '../../core/measures/consistency.ts';
import type { Fault } from '../../core/measures/faults.ts';
import { completeRequest } from '../../core/plan/request.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { usualTie, usualWearer } from '../../core/usual.ts';
import { identifier } from '../atoms.ts';
import { type Checked, read } from '../check.ts';
import { kindOf } from '../fields/fieldKinds.ts';
import { type Say, sayIn } from '../lengths.ts';
import { worded } from '../worded.ts';
import { fieldsOf, kinds } from './kinds/index.ts';
import type { KindOf } from './kinds/kindOf.ts';
import { kindCodes, kindWords } from './kindWords.ts';
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

function heldTogether(kind: Kind, value: object, say: Say, faulty: readonly string[]): Fault[] {
  const { part, together } = kinds[kind] as KindOf<Kind>;
  const own = together?.(value) ?? [];
  if (part === undefined) return [...own];
  const pieces = {
    shirt: requestDefaults.shirt,
    jacket: null,
    tie: usualTie,
    [part]: value,
  };
  const inPart = (path: string) => path.startsWith(`${part}.`);
  return [
    ...own,
    ...contradictions(
      completeRequest({ client: usualWearer, ...pieces }),
      say,
      faulty.map((path) => `${part}.${path}`),
    )
      .filter(({ path }) => inPart(path))
      .map(({ path, message }) => ({ path: path.slice(part.length + 1), message })),
  ];
}

/** As far as the records count. */
const mostVersions = 2 ** 31 - 2;

type Schemas = Readonly<Record<Kind, Joi.ObjectSchema>>;

const schemas: Readonly<Record<LengthUnit, Schemas>> = { cm: schemasIn(sayIn('cm')), in: schemasIn(sayIn('in')) };

function schemasIn(say: Say): Schemas {
  return Object.fromEntries(kindCodes.map((kind) => [kind, schemaOf(kind, say)])) as unknown as Schemas;
}

function schemaOf(kind: Kind, say: Say): Joi.ObjectSchema {
  const { one } = kindWords[kind];
  return worded(
    Joi.object({
      id: identifier(`The ${one}`).required(),
      version: worded(Joi.number().integer().min(0).max(mostVersions).default(0), { '*': 'The version is not one that was given out.' }),
      archived: Joi.boolean().default(false),
      ...Object.fromEntries(fieldsOf(kind).map(([key, field]) => [key, kindOf(field).check(field, say)])),
    }).required(),
    { 'object.base': `The ${one} must be an object.`, 'any.required': `The ${one} is empty.` },
  );
}
