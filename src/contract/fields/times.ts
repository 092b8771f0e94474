import Joi from 'joi';
import { column, readNumber, spaced, words } from '../exchange/column.ts';
import { worded } from '../worded.ts';
import { type FieldKind, listed } from './fieldKind.ts';

/** Seconds that steps took, the first one first. */
export interface TimesField {
  readonly kind: 'times';
  readonly label: string;
}

/** More steps than any tying has, and longer than anyone stands at one, s. */
export const mostTimes = 60;
export const longestTime = 3600;

export const timesKind: FieldKind<TimesField> = {
  check: ({ label }) =>
    worded(Joi.array().items(Joi.number().min(0).max(longestTime)).max(mostTimes).required(), {
      '*': `${label}: enter up to ${mostTimes} numbers of seconds, each up to ${longestTime}, with spaces between.`,
    }),
  columns: (name, key, { label }) => [column(name, key, `${label}, spaces between`, spaced, (cell) => words(cell).map(readNumber))],
  say: (_, value) => listed(value, (s) => s, ' · '),
};
