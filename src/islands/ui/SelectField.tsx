import { useId } from 'react';
import { useController } from 'react-hook-form';
import { useFault } from './faults.ts';

interface SelectFieldProps {
  readonly name: string;
  readonly label: string;
  readonly choices: readonly (readonly [code: string, label: string])[];
  /** What stands for no choice at all, where there need not be one. */
  readonly none?: string | undefined;
  readonly onPick?: (code: string) => void;
}

/** One of a list, as a field. */
export function SelectField({ name, label, choices, none, onPick }: SelectFieldProps) {
  const { field } = useController({ name });
  const fault = useFault(name);
  const id = useId();
  return (
    <div className="grid grid-cols-[1fr_10.5rem] items-center gap-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      <select
        ref={field.ref}
        id={id}
        className="h-9 w-full border-b-2 border-set/40 bg-transparent text-lg text-set"
        value={field.value === null ? '' : String(field.value)}
        aria-invalid={fault !== undefined}
        onBlur={field.onBlur}
        onChange={(event) => {
          field.onChange(event.target.value === '' && none !== undefined ? null : event.target.value);
          onPick?.(event.target.value);
        }}
      >
        {none !== undefined && <option value="">{none}</option>}
        {choices.map(([code, text]) => (
          <option key={code} value={code}>
            {text}
          </option>
        ))}
      </select>
      {fault && <span className="col-span-2 text-note text-outside">{fault}</span>}
    </div>
  );
}
