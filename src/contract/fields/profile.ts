import { profile } from '../atoms.ts';
import { column, readNumber, words } from '../exchange/column.ts';
import { type FieldKind, nothing } from './fieldKind.ts';

/** Widths measured along a tie. */
export interface ProfileField {
  readonly kind: 'profile';
  readonly label: string;
}

interface Width {
  readonly atMm: number;
  readonly widthMm: number;
}

export const profileKind: FieldKind<ProfileField> = {
  check: (_, say) => profile(say).default([]),
  columns: (name, key, { label }) => [
    column(
      name,
      key,
      `${label}: place:width in mm, spaces between`,
      (value) => (value as readonly Width[]).map(({ atMm, widthMm }) => `${atMm}:${widthMm}`).join(' '),
      (cell) =>
        words(cell).map((pair) => {
          const [atMm = '', widthMm = ''] = pair.split(':');
          return { atMm: readNumber(atMm), widthMm: readNumber(widthMm) };
        }),
    ),
  ],
  say: (_, value, { say }) =>
    Array.isArray(value) && value.length > 0
      ? (value as readonly Width[]).map(({ atMm, widthMm }) => `${say(widthMm)} at ${say(atMm)}`).join(', ')
      : nothing,
};
