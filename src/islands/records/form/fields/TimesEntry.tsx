import { useId, useState } from 'react';
import type { TimesField } from '../../../../contract/fields/times.ts';
import { useEntry } from '../../../ui/entry.ts';
import type { FieldEntryProps } from './entryProps.ts';

/** Seconds in a row, with spaces between. What is no number stays as it was typed, and is said to be none. */
export function TimesEntry({ name, field: { label } }: FieldEntryProps<TimesField>) {
  const { value, fault, onChange } = useEntry<readonly number[] | string>(name);
  const [typed, setTyped] = useState<string>();
  const id = useId();
  return (
    <div className="grid grid-cols-[6.5rem_1fr] items-baseline gap-x-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        autoComplete="off"
        className={`figures h-9 w-full border-b-2 bg-transparent px-1 text-lg text-set ${fault ? 'border-outside bg-outside-wash' : 'border-set/40 focus:border-set'}`}
        value={typed ?? (typeof value === 'string' ? value : value.join(' '))}
        aria-invalid={fault !== undefined}
        aria-describedby={`${id}-fault`}
        onChange={(event) => {
          setTyped(event.target.value);
          onChange(readTimes(event.target.value));
        }}
        onBlur={() => setTyped(undefined)}
      />
      <span id={`${id}-fault`} className={`col-span-2 text-note ${fault ? 'text-outside' : 'text-soft'}`}>
        {fault ?? 'With spaces between, the first step first.'}
      </span>
    </div>
  );
}

function readTimes(text: string): readonly number[] | string {
  const numbers = text.split(/\s+/).filter(Boolean).map(Number);
  return numbers.every(Number.isFinite) ? numbers : text;
}
