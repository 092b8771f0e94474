import type { ColourField as Colour } from '../../../../contract/fields/colour.ts';
import { ColourField } from '../../../ui/ColourField.tsx';
import type { FieldEntryProps } from './entryProps.ts';

export function ColourEntry({ name, field: { label, optional } }: FieldEntryProps<Colour>) {
  return <ColourField name={name} label={label} none={optional} />;
}
