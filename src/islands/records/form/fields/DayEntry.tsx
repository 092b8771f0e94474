import { useId } from 'react';
import type { DayField } from '../../../../contract/fields/day.ts';
import { useEntry } from '../../../ui/entry.ts';
import type { FieldEntryProps } from './entryProps.ts';

/** A day, by the device's own way of choosing one. */
export function DayEntry({ name, field: { label, optional } }: FieldEntryProps<DayField>) {
  const { value, fault, onChange } = useEntry<string | null>(name);
  const id = useId();
  return (
    <div className="grid grid-cols-[6.5rem_1fr] items-baseline gap-x-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        type="date"
        value={value ?? ''}
        required={optional === undefined}
        aria-invalid={fault !== undefined}
        aria-describedby={`${id}-fault`}
        className={`h-9 w-full border-b-2 bg-transparent px-1 text-lg text-set ${fault ? 'border-outside bg-outside-wash' : 'border-set/40 focus:border-set'}`}
        onChange={(event) => onChange(event.target.value === '' && optional !== undefined ? null : event.target.value)}
      />
      <span id={`${id}-fault`} className="col-span-2 text-note text-outside">
        {fault}
      </span>
    </div>
  );
}
