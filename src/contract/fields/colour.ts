import { someColour } from '../atoms.ts';
import { column, emptyIsNull, plain } from '../exchange/column.ts';
import type { FieldKind } from './fieldKind.ts';

/** One colour; `null` where it was never entered, or where there is none. */
export interface ColourField {
  readonly kind: 'colour';
  readonly label: string;
  /** What no colour at all is called. */
  readonly optional: string;
}

export const colourKind: FieldKind<ColourField> = {
  check: () => someColour.allow(null).default(null),
  columns: (name, key, { label, optional }) => [
    column(name, key, `${label}, #rrggbb; empty for ${optional}`, plain, (cell) => emptyIsNull(cell.toLowerCase())),
  ],
  say: (_, value) => String(value),
};
