import equal from 'fast-deep-equal';
import { useId, useState } from 'react';
import { formatFigure, type LengthUnit, parseLength, unitLabel } from '../../core/units/length.ts';
import { useEntry } from './entry.ts';

/** The shirt's buttons as a row of lengths below the collar button. */
export function ButtonsField({ name, units }: { readonly name: string; readonly units: LengthUnit }) {
  const { value: buttons, fault, onChange } = useEntry<readonly number[] | string>(name);
  const [draft, setDraft] = useState<{ readonly text: string; readonly entry: readonly number[] | string }>();
  // The list may come back as another one that says the same: what is being typed stands all the same.
  const typed = draft && equal(draft.entry, buttons) ? draft.text : undefined;
  const id = useId();
  const shown = typed ?? (typeof buttons === 'string' ? buttons : buttons.map((mm) => formatFigure(mm, units)).join(' · '));
  return (
    <div className="py-2">
      <label htmlFor={id} className="block">
        Buttons below the collar, {unitLabel(units)}
      </label>
      <input
        id={id}
        autoComplete="off"
        className={`figures h-9 w-full border-b-2 bg-transparent text-lg text-set ${fault ? 'border-outside bg-outside-wash' : 'border-set/40'}`}
        value={shown}
        aria-invalid={fault !== undefined}
        aria-describedby={`${id}-more`}
        onChange={(event) => {
          const entry = readButtons(event.target.value, units);
          setDraft({ text: event.target.value, entry });
          onChange(entry);
        }}
        onBlur={() => setDraft(undefined)}
      />
      <span id={`${id}-more`} className={`text-note ${fault ? 'text-outside' : 'text-soft'}`}>
        {fault ?? 'From the first button below the collar button, with · or ; between.'}
      </span>
    </div>
  );
}

/** Millimetres, or the text itself when any of it is no length. */
function readButtons(text: string, units: LengthUnit): readonly number[] | string {
  const parts = text
    .split(/[·;|]/)
    .map((part) => part.trim())
    .filter(Boolean);
  const lengths = parts.map((part) => parseLength(part, units));
  return lengths.every((mm) => mm !== undefined) ? lengths : text;
}
