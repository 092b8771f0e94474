import { useId } from 'react';
import { usualColours } from '../../core/usual.ts';
import { useEntry } from './entry.ts';
import { FromPhoto } from './FromPhoto.tsx';

interface ColourFieldProps {
  readonly name: string;
  readonly label: string;
  /** What no colour at all is called. */
  readonly none: string;
}

/** One colour, and a box that says whether there is one. */
export function ColourField({ name, label, none }: ColourFieldProps) {
  const { value: colour, fault, onChange } = useEntry<string | null>(name);
  const id = useId();
  return (
    <div className="flex flex-wrap items-center justify-between gap-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      <span className="flex items-center gap-3">
        <label className="flex min-h-9 cursor-pointer items-center gap-1.5 text-note">
          <input
            type="checkbox"
            className="size-5 accent-set"
            checked={colour === null}
            onChange={(event) => onChange(event.target.checked ? null : usualColours.jacket)}
          />
          {none}
        </label>
        {colour !== null && <FromPhoto label={label} onPalette={([most]) => most && onChange(most.colour)} />}
        {colour !== null && <ColourInput id={id} colour={colour} onChange={onChange} />}
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
