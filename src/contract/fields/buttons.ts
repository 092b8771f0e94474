import { buttons } from '../atoms.ts';
import { column, readNumber, spaced, words } from '../exchange/column.ts';
import { type FieldKind, listed } from './fieldKind.ts';

/** A shirt's buttons below the collar, each a length from it. */
export interface ButtonsField {
  readonly kind: 'buttons';
  readonly label: string;
}

export const buttonsKind: FieldKind<ButtonsField> = {
  check: (_, say) => buttons(say).required(),
  columns: (name, key, { label }) => [column(name, key, `${label}, mm, spaces between`, spaced, (cell) => words(cell).map(readNumber))],
  say: (_, value, { say }) => listed(value, (mm) => say(Number(mm)), ' · '),
};
