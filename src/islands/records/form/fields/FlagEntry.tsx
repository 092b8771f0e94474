import type { FlagField } from '../../../../contract/fields/flag.ts';
import { useEntry } from '../../../ui/entry.ts';
import { Switch } from '../../../ui/Switch.tsx';
import type { FieldEntryProps } from './entryProps.ts';

export function FlagEntry({ name, field: { label } }: FieldEntryProps<FlagField>) {
  const { value, onChange } = useEntry<boolean>(name);
  return (
    <div className="flex items-center justify-between border-b border-faint py-1">
      <span aria-hidden>{label}</span>
      <Switch
        label={label}
        value={value ? 'yes' : 'no'}
        choices={[
          { key: 'no', label: 'no' },
          { key: 'yes', label: 'yes' },
        ]}
        onChange={(key) => onChange(key === 'yes')}
      />
    </div>
  );
}
