import { createContext, useContext } from 'react';
import type { Fault } from '../../core/measures/faults.ts';
import { type EntryStore, useEntryAt } from './entryStore.ts';
import { faultOf } from './faults.ts';

/** One field's value as it stands, what is wrong with it, and the way to change it. */
export interface Entry<T = unknown> {
  readonly value: T;
  readonly fault: string | undefined;
  readonly onChange: (value: T) => void;
}

/** Where the fields beneath are entered, and what is wrong there, by their paths. */
export interface Source {
  readonly store: EntryStore<object>;
  readonly faults: readonly Fault[];
}

export const EntrySource = createContext<Source | undefined>(undefined);

/** The entry of a field by its name, a path into what is entered: `question.tie.bladeMm`. */
export function useEntry<T>(path: string): Entry<T> {
  const source = useContext(EntrySource);
  if (!source) throw new Error('A field stands outside of any source of entries.');
  const { store, faults } = source;
  return { value: useEntryAt<T>(store, path), fault: faultOf(faults, path), onChange: (next) => store.set(path, next) };
}

/** What is wrong in any of the fields, by their paths. */
export function useFaults(): readonly Fault[] {
  return useContext(EntrySource)?.faults ?? [];
}

/**
 * What a length field holds: millimetres, or what was typed when that is no length, so that
 * nothing is lost; `null` where “not measured” is an answer.
 */
export type LengthEntry = number | string | null;
