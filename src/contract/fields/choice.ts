import { oneOf } from '../atoms.ts';
import { column, emptyIsNull, plain } from '../exchange/column.ts';
import type { Choices } from './choiceTable.ts';
import type { FieldKind } from './fieldKind.ts';

export interface ChoiceField {
  readonly kind: 'choice';
  readonly label: string;
  readonly choices: Choices;
  /** What no choice at all is called, where there need not be one. */
  readonly optional?: string;
  /** Whether the codes are knots' canonical moves. */
  readonly ofKnots?: true;
}

export const choiceKind: FieldKind<ChoiceField> = {
  check: ({ label, choices, optional }) => {
    const choice = oneOf(label, Object.keys(choices));
    return optional === undefined ? choice.required() : choice.allow(null).default(null);
  },
  columns: (name, key, { label, choices, optional }) => {
    const codes = Object.keys(choices).join(', ');
    return [{ ...column(name, key, `${label}: ${codes}${optional ? `; empty for ${optional}` : ''}`, plain, emptyIsNull), choices }];
  },
  say: ({ choices }, value) => choices[String(value)]?.label ?? String(value),
};
