import Joi from 'joi';
import { isDay, sayDay } from '../days.ts';
import { column, emptyIsNull, plain } from '../exchange/column.ts';
import { worded } from '../worded.ts';
import type { FieldKind } from './fieldKind.ts';

/** A day, as `YYYY-MM-DD`. */
export interface DayField {
  readonly kind: 'day';
  readonly label: string;
  /** What no day at all is called, where there need not be one. */
  readonly optional?: string;
}

/** A day there is: not the 31st of February. */
export const dayCheck = Joi.string().custom((text: string, helpers) => (isDay(text) ? text : helpers.error('any.invalid')));

export const dayKind: FieldKind<DayField> = {
  check: ({ label, optional }) => {
    return worded(optional === undefined ? dayCheck.required() : dayCheck.allow(null).empty('').default(null), {
      '*': `${label}: enter a day, as year-month-day.`,
    });
  },
  columns: (name, key, { label, optional }) => [
    column(
      name,
      key,
      `${label}, as year-month-day${optional ? `; empty for ${optional}` : ''}`,
      plain,
      optional ? emptyIsNull : (cell) => cell,
    ),
  ],
  say: (_, value) => (isDay(String(value)) ? sayDay(String(value), 'UTC') : String(value)),
};
