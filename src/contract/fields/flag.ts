import Joi from 'joi';
import { column, readYes, yesOrNo } from '../exchange/column.ts';
import { worded } from '../worded.ts';
import type { FieldKind } from './fieldKind.ts';

export interface FlagField {
  readonly kind: 'flag';
  readonly label: string;
}

export const flagKind: FieldKind<FlagField> = {
  check: ({ label }) => worded(Joi.boolean().default(false), { 'boolean.base': `${label} is either yes or no.` }),
  columns: (name, key, { label }) => [column(name, key, `${label}: yes or no`, yesOrNo, readYes)],
  say: (_, value) => yesOrNo(value),
};
