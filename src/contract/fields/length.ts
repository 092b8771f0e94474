import type { Measure } from '../../core/measures/measures.ts';
import { column, plain, readNumber } from '../exchange/column.ts';
import { lengthOf } from '../lengths.ts';
import type { FieldKind } from './fieldKind.ts';

export interface LengthField {
  readonly kind: 'length';
  readonly measure: Measure;
  readonly optional?: true;
}

export const lengthKind: FieldKind<LengthField> = {
  check: ({ measure, optional }, say) => (optional ? lengthOf(measure, say).allow(null).default(null) : lengthOf(measure, say).required()),
  columns: (name, key, { measure }) => [{ ...column(name, key, `${measure.label}, mm`, plain, readNumber), measure }],
  say: ({ measure }, value, { say }) => (typeof value === 'number' ? say(value, measure.fineness) : String(value)),
};
