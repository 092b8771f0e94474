import Joi from 'joi';
import { parseKnot } from '../../core/index.ts';
import { knotTitle } from '../../core/knot/code.ts';
import { column, emptyIsNull, plain } from '../exchange/column.ts';
import { canonicalMoves } from '../knotMoves.ts';
import { worded } from '../worded.ts';
import type { FieldKind } from './fieldKind.ts';

/** A knot by its canonical moves; `null` for none. */
export interface KnotField {
  readonly kind: 'knot';
  readonly label: string;
  readonly required?: true;
}

export const knotKind: FieldKind<KnotField> = {
  check: ({ label, required }) => {
    const enter = `${label}: enter its moves, as Li Ro Li Co T, or its name.`;
    return required
      ? worded(Joi.string().required().custom(canonicalMoves), { 'any.required': enter, 'string.base': enter, 'string.empty': enter })
      : worded(Joi.string().allow(null).default(null).custom(canonicalMoves), { 'string.base': enter, 'string.empty': enter });
  },
  columns: (name, key, { label }) => [
    column(
      name,
      key,
      `${label}: its moves in the wearer’s mirror, blade on the right, as Li Ro Li Co T; empty for none`,
      plain,
      emptyIsNull,
    ),
  ],
  say: (_, value) => {
    try {
      return knotTitle(parseKnot(String(value)));
    } catch {
      return String(value);
    }
  },
};
