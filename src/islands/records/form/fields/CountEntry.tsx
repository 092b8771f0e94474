import { useId, useState } from 'react';
import type { CountField } from '../../../../contract/fields/count.ts';
import { useEntry } from '../../../ui/entry.ts';
import type { FieldEntryProps } from './entryProps.ts';

/** A whole number; what is none stays as it was typed, and is said to be none. */
export function CountEntry({ name, field: { label } }: FieldEntryProps<CountField>) {
  const { value, fault, onChange } = useEntry<number | string | null>(name);
  const [typed, setTyped] = useState<string>();
  const id = useId();
  return (
    <div className="grid grid-cols-[6.5rem_1fr] items-baseline gap-x-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        inputMode="numeric"
        autoComplete="off"
        className={`figures h-9 w-24 border-b-2 bg-transparent px-1 text-lg text-set ${fault ? 'border-outside bg-outside-wash' : 'border-set/40 focus:border-set'}`}
        value={typed ?? value ?? ''}
        aria-invalid={fault !== undefined}
        aria-describedby={`${id}-fault`}
        onChange={(event) => {
          const text = event.target.value;
          setTyped(text);
          onChange(text.trim() === '' ? null : /^\d+$/.test(text.trim()) ? Number(text) : text);
        }}
        onBlur={() => setTyped(undefined)}
      />
      <span id={`${id}-fault`} className="col-span-2 text-note text-outside">
        {fault}
      </span>
    </div>
  );
}
