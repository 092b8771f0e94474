import Joi from 'joi';
import { mostColours } from '../../core/measures/measures.ts';
import { column, readNumber, spaced, words } from '../exchange/column.ts';
import { worded } from '../worded.ts';
import { type FieldKind, listed } from './fieldKind.ts';

/** How much of the fabric each of its colours is, in hundredths; `null` where that was not judged. */
export interface SharesField {
  readonly kind: 'shares';
  readonly label: string;
}

const wholeShare = 'Each share is a whole number from 1 to 100.';
const sumOf = (shares: readonly number[]) => shares.reduce((sum, share) => sum + share, 0);

export const sharesKind: FieldKind<SharesField> = {
  check: () =>
    worded(
      Joi.array()
        .items(worded(Joi.number().integer().min(1).max(100), { '*': wholeShare }))
        .min(1)
        .max(mostColours)
        .allow(null)
        .default(null)
        .custom((shares: number[] | null, helpers) =>
          shares && sumOf(shares) !== 100 ? helpers.message({ custom: `The shares must add up to 100%, not ${sumOf(shares)}%.` }) : shares,
        ),
      { 'array.base': wholeShare, 'array.min': wholeShare, 'array.max': wholeShare },
    ),
  columns: (name, key, { label }) => [
    column(`${name}_percent`, key, `${label} of the colours, percent, adding up to 100; may be empty`, spaced, (cell) =>
      cell.trim() === '' ? null : words(cell).map(readNumber),
    ),
  ],
  say: (_, value) => listed(value, (share) => `${share}%`),
};
