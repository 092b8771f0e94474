import type { Field } from '../../../../contract/fields/field.ts';

/** What every field of a record is entered by: its name, and what kind of field it is. */
export interface FieldEntryProps<F extends Field = Field> {
  readonly name: string;
  readonly field: F;
}
