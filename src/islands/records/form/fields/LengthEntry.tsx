import type { LengthField } from '../../../../contract/fields/length.ts';
import type { Kind } from '../../../../contract/records/records.ts';
import { measures } from '../../../../core/measures/measures.ts';
import type { HowToProps } from '../../../../drawing/howto/HowTo.tsx';
import { MeasureField } from '../../../ui/MeasureField.tsx';
import { useRecord } from '../useRecord.ts';
import type { FieldEntryProps } from './entryProps.ts';

export function LengthEntry({ name, field: { measure, optional } }: FieldEntryProps<LengthField>) {
  const { kind, units } = useRecord();
  const sketch = sketchFor(kind, name);
  return <MeasureField name={name} measure={measure} units={units} optional={optional === true} {...(sketch && { sketch })} />;
}

/** What each kind is measured on. */
const measuredOn: Partial<Readonly<Record<Kind, HowToProps['of']>>> = {
  clients: 'client',
  outfits: 'client',
  shirts: 'shirt',
  jackets: 'jacket',
  ties: 'tie',
};

/** The drawing of where a measure is taken, wherever it is taken. */
function sketchFor(kind: Kind, name: string): HowToProps | undefined {
  const of = measuredOn[kind];
  // The belt line of an outfit's trousers is the client's own measure, in those trousers.
  const measure = name === 'beltLineMm' ? 'frontDropMm' : name;
  return of && measure in measures[of] ? { of, measure } : undefined;
}
