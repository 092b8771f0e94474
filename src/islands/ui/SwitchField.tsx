import { useController } from 'react-hook-form';
import { Switch } from './Switch.tsx';

interface SwitchFieldProps<T extends string> {
  readonly name: string;
  readonly label: string;
  readonly choices: readonly { readonly key: T; readonly label: string }[];
}

/** A switch that is a field of the form at hand. */
export function SwitchField<T extends string>({ name, label, choices }: SwitchFieldProps<T>) {
  const { field } = useController({ name });
  return <Switch label={label} showLabel value={field.value as T} choices={choices} onChange={field.onChange} />;
}
