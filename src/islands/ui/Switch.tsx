import { useId } from 'react';
import { Radio } from './Radio.tsx';
import { useLatest } from './useLatest.ts';

interface SwitchProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly { readonly key: T; readonly label: string }[];
  readonly onChange: (key: T) => void;
  readonly showLabel?: boolean;
  /** Where there is little room. */
  readonly small?: boolean;
}

/** One of a few ways, side by side. */
export function Switch<T extends string>({ label, value, choices, onChange, showLabel = false, small = false }: SwitchProps<T>) {
  const name = useId();
  const pick = useLatest((key: string) => onChange(key as T));
  return (
    <fieldset className={showLabel ? 'py-2' : ''}>
      <legend className={showLabel ? 'mb-1 text-note text-soft' : 'sr-only'}>{label}</legend>
      <div className="flex flex-wrap">
        {choices.map((choice) => (
          <label
            key={choice.key}
            className={`flex min-h-9 cursor-pointer items-center justify-center border-b-2 border-line whitespace-nowrap ${small ? 'px-1.5 text-note' : 'min-w-9 px-2 text-[0.95rem]'} text-soft outline-offset-2 hover:text-ink has-checked:border-set has-checked:font-medium has-checked:text-set has-focus-visible:outline-3 has-focus-visible:outline-set`}
          >
            <Radio name={name} value={choice.key} checked={choice.key === value} onPick={pick} />
            {choice.label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
