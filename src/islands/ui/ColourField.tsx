import { useId } from 'react';
import { useController } from 'react-hook-form';
import { FromPhoto } from './FromPhoto.tsx';
import { useFault } from './faults.ts';

interface ColourFieldProps {
  readonly name: string;
  readonly label: string;
  readonly optional: boolean;
}

/** One colour. Where there need not be one, a box says whether there is. */
export function ColourField({ name, label, optional }: ColourFieldProps) {
  const { field } = useController({ name });
  const fault = useFault(name);
  const id = useId();
  const colour = typeof field.value === 'string' ? field.value : null;
  return (
    <div className="flex items-center justify-between gap-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      <span className="flex items-center gap-3">
        {optional && (
          <label className="flex min-h-9 cursor-pointer items-center gap-1.5 text-note">
            <input
              type="checkbox"
              className="size-5 accent-set"
              checked={colour !== null}
              onChange={(event) => field.onChange(event.target.checked ? '#7d8790' : null)}
            />
            has one
          </label>
        )}
        {colour !== null && <FromPhoto label={label} onPalette={([most]) => most && field.onChange(most.colour)} />}
        {colour !== null && <ColourInput id={id} colour={colour} onChange={field.onChange} />}
      </span>
      {fault && <span className="text-note text-outside">{fault}</span>}
    </div>
  );
}

interface ColourInputProps {
  readonly id?: string;
  readonly label?: string;
  readonly colour: string;
  readonly onChange: (colour: string) => void;
}

export function ColourInput({ id, label, colour, onChange }: ColourInputProps) {
  return (
    <input
      type="color"
      id={id}
      aria-label={label}
      className="h-9 w-16 cursor-pointer border-2 border-set/40 bg-transparent"
      value={colour}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
