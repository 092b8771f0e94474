import Joi from 'joi';
import type { Measure } from '../core/measures/measures.ts';
import { type Fineness, formatLength, type LengthUnit } from '../core/units/length.ts';

/** Writes a length in the reader's unit. */
export type Say = (mm: number, fineness?: Fineness) => string;

export function sayIn(unit: LengthUnit): Say {
  return (mm, fineness) => formatLength(mm, unit, fineness);
}

/** A length in mm held to its measure's range, with faults in the reader's unit. */
export function lengthOf({ label, minMm, maxMm, fineness }: Measure, say: Say): Joi.NumberSchema {
  const range = `It runs from ${say(minMm, fineness)} to ${say(maxMm, fineness)}.`;
  return Joi.number()
    .strict()
    .unsafe()
    .empty('')
    .custom((mm: number, helpers) =>
      mm < minMm || mm > maxMm ? helpers.message({ custom: `${label} cannot be ${say(mm, fineness)}. ${range}` }) : mm,
    )
    .messages({
      'any.required': `${label} is missing. ${range}`,
      'number.base': `${label} is not a length: “{#value}”. ${range}`,
      'number.infinity': `${label} is not a length. ${range}`,
    });
}
