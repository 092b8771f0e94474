import Joi from 'joi';
import { column, plain, readNumber } from '../exchange/column.ts';
import { worded } from '../worded.ts';
import type { FieldKind } from './fieldKind.ts';

/** A whole number of something. */
export interface CountField {
  readonly kind: 'count';
  readonly label: string;
  readonly most: number;
  readonly optional?: true;
}

export const countKind: FieldKind<CountField> = {
  check: ({ label, most, optional }) => {
    const whole = Joi.number()
      .strict()
      .integer()
      .min(optional ? 0 : 1)
      .max(most);
    return worded(optional ? whole.allow(null).default(null) : whole.required(), {
      '*': `${label}: enter a whole number up to ${most}.`,
    });
  },
  columns: (name, key, { label }) => [column(name, key, `${label}, a whole number`, plain, readNumber)],
  say: (_, value) => String(value),
};
