import { createContext, useContext } from 'react';
import type { Kind, StudioSeen } from '../../../contract/records/records.ts';
import type { LengthUnit } from '../../../core/units/length.ts';
import { type EntryStore, useEntries } from '../../ui/entryStore.ts';
import type { Entries } from './entries.ts';

/** The record whose fields stand on the page. */
export interface RecordEntered {
  readonly kind: Kind;
  readonly store: EntryStore<Entries>;
  readonly units: LengthUnit;
  readonly studio: StudioSeen;
}

export const RecordContext = createContext<RecordEntered | undefined>(undefined);

/** For fields and pictures that need more of the record than their own entry. */
export function useRecord(): RecordEntered & { readonly entries: Entries } {
  const record = useContext(RecordContext);
  if (!record) throw new Error('No record is entered here.');
  return { ...record, entries: useEntries(record.store) };
}
