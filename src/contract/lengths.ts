import Joi from 'joi';
import type { Measure } from '../core/measures/measures.ts';
import { type Fineness, formatLength, type LengthUnit } from '../core/units/length.ts';
import { worded } from './worded.ts';

/** Writes a length in the reader's unit. */
export type Say = (mm: number, fineness?: Fineness) => string;

export function sayIn(unit: LengthUnit): Say {
  return (mm, fineness) => formatLength(mm, unit, fineness);
}

/** A length in mm held to its measure's range, with faults in the reader's unit. */
export function lengthOf({ label, minMm, maxMm, fineness }: Measure, say: Say): Joi.NumberSchema {
  const range = `Allowed: ${allowed(minMm, maxMm, say, fineness)}.`;
  return worded(
    Joi.number()
      .strict()
      .unsafe()
      .empty('')
      .custom((mm: number, helpers) =>
        mm < minMm || mm > maxMm ? helpers.message({ custom: `${label} can’t be ${say(mm, fineness)}. ${range}` }) : mm,
      ),
    {
      'any.required': `${label} is missing. ${range}`,
      'number.base': (value) => `${label} is not a length: “${typeof value === 'string' ? value : JSON.stringify(value)}”. ${range}`,
      'number.infinity': `${label} is not a length. ${range}`,
    },
  );
}

/** A range, its unit said once where it has one: `2.5–13 cm`. */
function allowed(minMm: number, maxMm: number, say: Say, fineness: Fineness | undefined): string {
  const [min, max] = [say(minMm, fineness), say(maxMm, fineness)];
  const unit = / (cm|mm|in)$/.exec(max)?.[0];
  const from = unit && min.endsWith(unit) ? min.slice(0, -unit.length) : min;
  return from.includes(' ') || max.split(' ').length > 2 ? `${from} – ${max}` : `${from}–${max}`;
}
