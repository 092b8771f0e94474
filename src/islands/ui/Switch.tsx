import { Label, RadioButton, RadioField, RadioGroup } from 'react-aria-components';

interface SwitchProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly { readonly key: T; readonly label: string }[];
  readonly onChange: (key: T) => void;
  readonly showLabel?: boolean;
}

/** One of two or three ways, side by side. */
export function Switch<T extends string>({ label, value, choices, onChange, showLabel = false }: SwitchProps<T>) {
  return (
    <RadioGroup value={value} onChange={(key) => onChange(key as T)} orientation="horizontal" className={showLabel ? 'py-2' : ''}>
      <Label className={showLabel ? 'mb-1 block text-note text-soft' : 'sr-only'}>{label}</Label>
      <div className="flex">
        {choices.map((choice) => (
          <RadioField key={choice.key} value={choice.key}>
            <RadioButton className="flex min-h-9 min-w-9 cursor-pointer items-center justify-center border-b-2 border-line px-2 text-[0.95rem] text-soft outline-offset-2 data-[focus-visible]:outline-3 data-[focus-visible]:outline-set data-[hovered]:text-ink data-[selected]:border-set data-[selected]:font-medium data-[selected]:text-set">
              {choice.label}
            </RadioButton>
          </RadioField>
        ))}
      </div>
    </RadioGroup>
  );
}
