import Joi from 'joi';
import { column, readNumber, words } from '../exchange/column.ts';
import { worded } from '../worded.ts';
import { type FieldKind, nothing } from './fieldKind.ts';

/** Numbers by their names, as a program worked them out: nobody types them, and they are kept to the last bit. */
export interface FiguresField {
  readonly kind: 'figures';
  readonly label: string;
  readonly names: readonly string[];
  readonly required: readonly string[];
}

const limit = 10_000;

export const figuresKind: FieldKind<FiguresField> = {
  check: ({ label, names, required }) => {
    const number = Joi.number().strict().min(-limit).max(limit);
    return worded(
      Joi.object(Object.fromEntries(names.map((name) => [name, required.includes(name) ? number.required() : number]))).required(),
      { '*': `${label}: they can’t be read.` },
    );
  },
  columns: (name, key, { label }) => [
    column(
      name,
      key,
      `${label}: name=number, spaces between`,
      (value) =>
        Object.entries(value as Readonly<Record<string, number>>)
          .map(([each, figure]) => `${each}=${figure}`)
          .join(' '),
      (cell) =>
        Object.fromEntries(
          words(cell).map((pair) => {
            const [each = '', figure = ''] = pair.split('=');
            return [each, readNumber(figure)];
          }),
        ),
    ),
  ],
  say: (_, value) => (typeof value === 'object' && value !== null ? `${Object.keys(value).length} figures` : nothing),
};
