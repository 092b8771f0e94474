import { useId } from 'react';
import type { TextField } from '../../../../contract/fields/text.ts';
import { useEntry } from '../../../ui/entry.ts';
import type { FieldEntryProps } from './entryProps.ts';

/** A line or a few of them. What is too long is said to be so, and never cut. */
export function TextEntry({ name, field: { label, lines, required } }: FieldEntryProps<TextField>) {
  const { value, fault, onChange } = useEntry<string>(name);
  const id = useId();
  const shared = {
    id,
    value,
    'aria-invalid': fault !== undefined,
    'aria-describedby': `${id}-fault`,
    'aria-required': required === true,
    className: `w-full border-b-2 bg-transparent px-1 text-lg leading-snug text-set ${fault ? 'border-outside bg-outside-wash' : 'border-set/40 focus:border-set'} ${lines ? 'resize-y text-base' : 'h-9'}`,
  };
  return (
    <div className="grid grid-cols-[6.5rem_1fr] items-baseline gap-x-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      {lines ? (
        <textarea rows={lines} {...shared} onChange={(event) => onChange(event.target.value)} />
      ) : (
        <input type="text" autoComplete="off" {...shared} onChange={(event) => onChange(event.target.value)} />
      )}
      <span id={`${id}-fault`} className="col-span-2 text-note text-outside">
        {fault}
      </span>
    </div>
  );
}
