import type { ChoicesField } from '../../../../contract/fields/choices.ts';
import { useEntry } from '../../../ui/entry.ts';
import type { FieldEntryProps } from './entryProps.ts';

/** Any of a few, as boxes to tick. */
export function ChoicesEntry({ name, field: { label, choices } }: FieldEntryProps<ChoicesField>) {
  const { value: chosen, onChange } = useEntry<readonly string[]>(name);
  return (
    <fieldset className="border-b border-faint py-1">
      <legend className="text-note text-soft">{label}</legend>
      {Object.entries(choices).map(([code, { label: text }]) => (
        <label key={code} className="flex min-h-9 cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-set"
            checked={chosen.includes(code)}
            onChange={(event) => onChange(event.target.checked ? [...chosen, code] : chosen.filter((each) => each !== code))}
          />
          {text}
        </label>
      ))}
    </fieldset>
  );
}
