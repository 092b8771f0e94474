import Joi from 'joi';
import { oneOf } from '../atoms.ts';
import { column, spaced, words } from '../exchange/column.ts';
import { worded } from '../worded.ts';
import type { Choices } from './choiceTable.ts';
import { type FieldKind, listed } from './fieldKind.ts';

export interface ChoicesField {
  readonly kind: 'choices';
  readonly label: string;
  readonly choices: Choices;
}

export const choicesKind: FieldKind<ChoicesField> = {
  check: ({ label, choices }) =>
    worded(
      Joi.array()
        .items(oneOf(label, Object.keys(choices)))
        .unique()
        .default([]),
      { 'array.base': `${label} must be a list.`, 'array.unique': `${label}: one is named twice.` },
    ),
  columns: (name, key, { label, choices }) => [column(name, key, `${label}: any of ${Object.keys(choices).join(', ')}`, spaced, words)],
  say: ({ choices }, value) => listed(value, (code) => choices[code]?.label ?? code),
};
