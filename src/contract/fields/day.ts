import Joi from 'joi';
import { sayDay } from '../days.ts';
import { column, plain } from '../exchange/column.ts';
import { worded } from '../worded.ts';
import type { FieldKind } from './fieldKind.ts';

/** A day, as `YYYY-MM-DD`. */
export interface DayField {
  readonly kind: 'day';
  readonly label: string;
}

export const dayPattern = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

export const dayKind: FieldKind<DayField> = {
  check: ({ label }) => worded(Joi.string().pattern(dayPattern).required(), { '*': `${label}: enter a day, as year-month-day.` }),
  columns: (name, key, { label }) => [column(name, key, `${label}, as year-month-day`, plain, (cell) => cell)],
  say: (_, value) => (dayPattern.test(String(value)) ? sayDay(String(value), 'UTC') : String(value)),
};
