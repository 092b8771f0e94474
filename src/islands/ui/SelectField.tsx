import { useId } from 'react';
import { useEntry } from './entry.ts';

interface SelectFieldProps {
  readonly name: string;
  readonly label: string;
  readonly choices: readonly (readonly [code: string, label: string])[];
  /** What stands for no choice at all, where there need not be one. */
  readonly none?: string | undefined;
  /** Takes the choice, where more than the field itself follows from it. */
  readonly onSelect?: (code: string) => void;
}

/** One of a list, as a field. */
export function SelectField({ name, label, choices, none, onSelect }: SelectFieldProps) {
  const { value, fault, onChange } = useEntry<string | null>(name);
  const id = useId();
  return (
    <div className="grid grid-cols-[minmax(4.5rem,1fr)_minmax(0,15rem)] items-center gap-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        className="h-9 w-full border-b-2 border-set/40 bg-transparent text-lg text-set"
        value={value === null ? '' : String(value)}
        aria-invalid={fault !== undefined}
        onChange={(event) => {
          const code = event.target.value;
          if (onSelect) onSelect(code);
          else onChange(code === '' && none !== undefined ? null : code);
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
