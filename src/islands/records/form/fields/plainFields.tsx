import { useId } from 'react';
import { useController, useFormContext } from 'react-hook-form';
import type { Choices } from '../../../../contract/records/field.ts';
import { useFault } from '../../../ui/faults.ts';
import { Switch } from '../../../ui/Switch.tsx';
import type { Entries } from '../entries.ts';

interface TextFieldProps {
  readonly name: string;
  readonly label: string;
  readonly longest: number;
  readonly lines: number | undefined;
  readonly required: boolean;
}

export function TextField({ name, label, longest, lines, required }: TextFieldProps) {
  const { register } = useFormContext<Entries>();
  const fault = useFault(name);
  const id = useId();
  const shared = {
    id,
    maxLength: longest,
    'aria-invalid': fault !== undefined,
    'aria-describedby': `${id}-fault`,
    'aria-required': required,
    className: `w-full border-b-2 bg-transparent px-1 text-lg leading-snug text-set ${fault ? 'border-outside bg-outside-wash' : 'border-set/40 focus:border-set'} ${lines ? 'resize-y text-base' : 'h-9'}`,
    ...register(name),
  };
  return (
    <div className="grid grid-cols-[6.5rem_1fr] items-baseline gap-x-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      {lines ? <textarea rows={lines} {...shared} /> : <input type="text" autoComplete="off" {...shared} />}
      <span id={`${id}-fault`} className="col-span-2 text-note text-outside">
        {fault}
      </span>
    </div>
  );
}

export function FlagField({ name, label }: { readonly name: string; readonly label: string }) {
  const { field } = useController({ name });
  return (
    <div className="flex items-center justify-between border-b border-faint py-1">
      <span aria-hidden>{label}</span>
      <Switch
        label={label}
        value={field.value === true ? 'yes' : 'no'}
        choices={[
          { key: 'no', label: 'no' },
          { key: 'yes', label: 'yes' },
        ]}
        onChange={(key) => field.onChange(key === 'yes')}
      />
    </div>
  );
}

interface ChoicesFieldProps {
  readonly name: string;
  readonly label: string;
  readonly choices: Choices;
}

/** Any of a few, as boxes to tick. */
export function ChoicesField({ name, label, choices }: ChoicesFieldProps) {
  const { field } = useController({ name });
  const chosen = field.value as readonly string[];
  return (
    <fieldset className="border-b border-faint py-1">
      <legend className="text-note text-soft">{label}</legend>
      {Object.entries(choices).map(([code, { label: text }]) => (
        <label key={code} className="flex min-h-9 cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-set"
            checked={chosen.includes(code)}
            onChange={(event) => field.onChange(event.target.checked ? [...chosen, code] : chosen.filter((each) => each !== code))}
          />
          {text}
        </label>
      ))}
    </fieldset>
  );
}
