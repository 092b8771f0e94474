import { createContext, type ReactNode, useContext, useMemo } from 'react';
import type { Fault } from '../../core/measures/faults.ts';
import { type Entry, EntrySource } from './entry.ts';
import { type EntryStore, useEntryAt } from './entryStore.ts';
import { faultOf } from './faults.ts';

const Faults = createContext<readonly Fault[]>([]);

interface EntriesOfProps<T extends object> {
  readonly store: EntryStore<T>;
  /** By the paths of the fields. */
  readonly faults: readonly Fault[];
  readonly children: ReactNode;
}

/** Lets the fields beneath read from a store and write to it, each with what is wrong with it. */
export function EntriesOf<T extends object>({ store, faults, children }: EntriesOfProps<T>) {
  const source = useMemo(
    () =>
      function useStored<V>(path: string): Entry<V> {
        const all = useContext(Faults);
        const value = useEntryAt<V>(store as unknown as EntryStore<object>, path);
        return { value, fault: faultOf(all, path), onChange: (next) => store.set(path, next) };
      },
    [store],
  );
  return (
    <Faults value={faults}>
      <EntrySource value={source}>{children}</EntrySource>
    </Faults>
  );
}

/** All that is wrong with fields whose paths begin so, in sentences. */
export function useFaultsUnder(path: string): string | undefined {
  return faultOf(useContext(Faults), path);
}
