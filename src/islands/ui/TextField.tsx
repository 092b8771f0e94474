import { useId } from 'react';
import { useEntry } from './entry.ts';

interface TextFieldProps {
  readonly name: string;
  readonly label: string;
  readonly autoFocus?: boolean;
}

/** One line of words, as a field. */
export function TextField({ name, label, autoFocus = false }: TextFieldProps) {
  const { value, fault, onChange } = useEntry<string>(name);
  const id = useId();
  return (
    <div className="grid grid-cols-[minmax(4.5rem,1fr)_minmax(0,17rem)] items-center gap-x-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        // biome-ignore lint/a11y/noAutofocus: it is the first thing asked in a dialog that was just called for.
        autoFocus={autoFocus}
        autoComplete="off"
        className={`h-9 w-full border-b-2 bg-transparent px-1 text-lg text-set ${fault ? 'border-outside bg-outside-wash' : 'border-set/40 focus:border-set'}`}
        value={value}
        aria-invalid={fault !== undefined}
        aria-describedby={fault && `${id}-fault`}
        onChange={(event) => onChange(event.target.value)}
      />
      {fault && (
        <span id={`${id}-fault`} className="col-span-2 text-note text-outside">
          {fault}
        </span>
      )}
    </div>
  );
}
