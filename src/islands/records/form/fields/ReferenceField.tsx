import { useQuery } from '@tanstack/react-query';
import { useController } from 'react-hook-form';
import type { Field } from '../../../../contract/records/field.ts';
import { kinds } from '../../../../contract/records/kinds.ts';
import { useFault } from '../../../ui/faults.ts';
import { recordQuery } from '../../../wire/queries.ts';
import { noRecord, RecordChooser } from '../../RecordChooser.tsx';

interface ReferenceFieldProps {
  readonly name: string;
  readonly field: Extract<Field, { kind: 'reference' }>;
  /** Only what this client can wear. */
  readonly wearableBy?: string | undefined;
}

/** Another record this one leans on. */
export function ReferenceField({ name, field: { label, to, optional }, wearableBy }: ReferenceFieldProps) {
  const { field } = useController({ name });
  const fault = useFault(name);
  const id = typeof field.value === 'string' && field.value !== '' ? field.value : null;
  const { data } = useQuery({ ...recordQuery(to, id ?? ''), enabled: id !== null });
  const title = id === null ? (optional ?? 'choose one') : data ? kinds[to].titleOf(data) : '…';
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-2 border-b border-faint py-1">
      <span aria-hidden>{label}</span>
      <RecordChooser
        kind={to}
        label={label}
        value={id ?? (optional === undefined ? null : noRecord)}
        placeholder={title}
        none={optional}
        wearableBy={wearableBy}
        onChoose={(key) => field.onChange(key === noRecord ? null : key)}
      />
      {fault && <span className="w-full text-note text-outside">{fault}</span>}
    </div>
  );
}
