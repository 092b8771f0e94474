import { useEntry } from './entry.ts';
import { Switch } from './Switch.tsx';

interface SwitchFieldProps<T extends string> {
  readonly name: string;
  readonly label: string;
  readonly choices: readonly { readonly key: T; readonly label: string }[];
}

/** A switch that is a field. */
export function SwitchField<T extends string>({ name, label, choices }: SwitchFieldProps<T>) {
  const { value, onChange } = useEntry<T>(name);
  return <Switch label={label} showLabel value={value} choices={choices} onChange={onChange} />;
}
