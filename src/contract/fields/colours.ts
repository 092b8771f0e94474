import Joi from 'joi';
import { mostColours } from '../../core/measures/measures.ts';
import { someColour } from '../atoms.ts';
import { column, spaced, words } from '../exchange/column.ts';
import { worded } from '../worded.ts';
import { type FieldKind, listed } from './fieldKind.ts';

/** A fabric's colours, the ground first; none where they were never entered. */
export interface ColoursField {
  readonly kind: 'colours';
  readonly label: string;
}

export const coloursKind: FieldKind<ColoursField> = {
  check: ({ label }) =>
    worded(Joi.array().items(someColour).max(mostColours).default([]), {
      'array.base': `${label} must be a list.`,
      'array.max': `Enter at most ${mostColours} colours.`,
    }),
  columns: (name, key, { label }) => [
    column(name, key, `${label}, #rrggbb, the ground first, spaces between`, spaced, (cell) => words(cell.toLowerCase())),
  ],
  say: (_, value) => listed(value, (colour) => colour),
};
