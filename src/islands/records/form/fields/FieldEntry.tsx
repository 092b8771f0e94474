import type { ReactNode } from 'react';
import type { Field, FieldOf } from '../../../../contract/fields/field.ts';
import { ButtonsEntry } from './ButtonsEntry.tsx';
import { ChoiceEntry } from './ChoiceEntry.tsx';
import { ChoicesEntry } from './ChoicesEntry.tsx';
import { ColourEntry } from './ColourEntry.tsx';
import { ColoursEntry } from './ColoursEntry.tsx';
import { CountEntry } from './CountEntry.tsx';
import { DayEntry } from './DayEntry.tsx';
import type { FieldEntryProps } from './entryProps.ts';
import { FiguresEntry } from './FiguresEntry.tsx';
import { FlagEntry } from './FlagEntry.tsx';
import { KnotEntry } from './KnotEntry.tsx';
import { LengthEntry } from './LengthEntry.tsx';
import { ProfileEntry } from './ProfileEntry.tsx';
import { ReferenceEntry } from './ReferenceEntry.tsx';
import { TakenEntry } from './TakenEntry.tsx';
import { TextEntry } from './TextEntry.tsx';
import { TimesEntry } from './TimesEntry.tsx';

const entries: { readonly [K in Field['kind']]: (props: FieldEntryProps<FieldOf<K>>) => ReactNode } = {
  text: TextEntry,
  length: LengthEntry,
  buttons: ButtonsEntry,
  choice: ChoiceEntry,
  choices: ChoicesEntry,
  day: DayEntry,
  flag: FlagEntry,
  colour: ColourEntry,
  colours: ColoursEntry,
  // Entered beside the colours they belong to.
  shares: () => null,
  reference: ReferenceEntry,
  knot: KnotEntry,
  taken: TakenEntry,
  profile: ProfileEntry,
  times: TimesEntry,
  count: CountEntry,
  figures: FiguresEntry,
};

/** The field for one thing entered of a record. */
export function FieldEntry({ name, field }: FieldEntryProps) {
  const Entry = entries[field.kind] as (props: FieldEntryProps) => ReactNode;
  return <Entry name={name} field={field} />;
}
