import Joi from 'joi';
import { column, readYes, yesOrNo } from '../exchange/column.ts';
import type { FieldKind } from './fieldKind.ts';

export interface FlagField {
  readonly kind: 'flag';
  readonly label: string;
}

export const flagKind: FieldKind<FlagField> = {
  check: ({ label }) =>
    Joi.boolean()
      .default(false)
      .messages({ 'boolean.base': `${label} is either yes or no.` }),
  columns: (name, key, { label }) => [column(name, key, `${label}: yes or no`, yesOrNo, readYes)],
  say: (_, value) => yesOrNo(value),
};
