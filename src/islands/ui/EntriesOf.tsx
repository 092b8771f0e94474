import { type ReactNode, useMemo } from 'react';
import type { Fault } from '../../core/measures/faults.ts';
import { EntrySource, type Source } from './entry.ts';
import type { EntryStore } from './entryStore.ts';

interface EntriesOfProps<T extends object> {
  readonly store: EntryStore<T>;
  /** By the paths of the fields. */
  readonly faults: readonly Fault[];
  readonly children: ReactNode;
}

/** Lets the fields beneath read from a store and write to it, each with what is wrong with it. */
export function EntriesOf<T extends object>({ store, faults, children }: EntriesOfProps<T>) {
  // Fields know the paths of what they hold, not the whole that it stands in.
  const source = useMemo((): Source => ({ store: store as unknown as Source['store'], faults }), [store, faults]);
  return <EntrySource value={source}>{children}</EntrySource>;
}
