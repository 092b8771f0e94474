import { useQuery } from '@tanstack/react-query';
import type { ReferenceField } from '../../../../contract/fields/reference.ts';
import { titleOf } from '../../../../contract/records/kindWords.ts';
import { useEntry } from '../../../ui/entry.ts';
import { recordQuery } from '../../../wire/queries.ts';
import { noRecord, RecordChooser } from '../../RecordChooser.tsx';
import { useRecord } from '../useRecord.ts';
import type { FieldEntryProps } from './entryProps.ts';

/** Another record this one leans on. */
export function ReferenceEntry({ name, field: { label, to, optional } }: FieldEntryProps<ReferenceField>) {
  const { value, fault, onChange } = useEntry<string | null>(name);
  const { kind, entries } = useRecord();
  const id = value === '' ? null : value;
  const { data } = useQuery({ ...recordQuery(to, id ?? ''), enabled: id !== null });
  const title = id === null ? (optional ?? 'Choose one') : data ? titleOf(data) : 'Loading…';
  // An outfit is put together from what its client can wear.
  const wearer = kind === 'outfits' && to !== 'clients' && typeof entries['clientId'] === 'string' ? entries['clientId'] : undefined;
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-2 border-b border-faint py-1">
      <span aria-hidden>{label}</span>
      <RecordChooser
        kind={to}
        label={label}
        value={id ?? (optional === undefined ? null : noRecord)}
        placeholder={title}
        none={optional}
        wearableBy={wearer}
        onChoose={(key) => onChange(key === noRecord ? null : key)}
      />
      {fault && <span className="w-full text-note text-outside">{fault}</span>}
    </div>
  );
}
