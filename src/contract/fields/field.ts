import type { ButtonsField } from './buttons.ts';
import type { ChoiceField } from './choice.ts';
import type { ChoicesField } from './choices.ts';
import type { ColourField } from './colour.ts';
import type { ColoursField } from './colours.ts';
import type { CountField } from './count.ts';
import type { DayField } from './day.ts';
import type { FiguresField } from './figures.ts';
import type { FlagField } from './flag.ts';
import type { KnotField } from './knot.ts';
import type { LengthField } from './length.ts';
import type { ProfileField } from './profile.ts';
import type { ReferenceField } from './reference.ts';
import type { SharesField } from './shares.ts';
import type { TakenField } from './taken.ts';
import type { TextField } from './text.ts';
import type { TimesField } from './times.ts';

/** One thing entered of a record. What is particular to each kind stands in a file of its own. */
export type Field =
  | TextField
  | LengthField
  | ButtonsField
  | ChoiceField
  | ChoicesField
  | DayField
  | FlagField
  | ColourField
  | ColoursField
  | SharesField
  | ReferenceField
  | KnotField
  | TakenField
  | ProfileField
  | TimesField
  | CountField
  | FiguresField;

export type FieldOf<K extends Field['kind']> = Extract<Field, { kind: K }>;

/** The fields of a record, without what Ropewalk itself keeps of it. */
export type Fields<T> = Readonly<Record<Exclude<keyof T & string, 'id' | 'version' | 'archived'>, Field>>;

export function labelOf(field: Field): string {
  return field.kind === 'length' ? field.measure.label : field.label;
}
