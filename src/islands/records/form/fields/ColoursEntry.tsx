import type { ColoursField as Colours } from '../../../../contract/fields/colours.ts';
import { ColoursField } from '../../../ui/ColoursField.tsx';
import type { FieldEntryProps } from './entryProps.ts';

export function ColoursEntry({ field: { label } }: FieldEntryProps<Colours>) {
  return <ColoursField label={label} />;
}
