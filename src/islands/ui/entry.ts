import { createContext, useContext } from 'react';

/** One field's value as it stands, what is wrong with it, and the way to change it. */
export interface Entry<T = unknown> {
  readonly value: T;
  readonly fault: string | undefined;
  readonly onChange: (value: T) => void;
}

/** Where the fields beneath get their entries by name. */
export const EntrySource = createContext<<T>(name: string) => Entry<T>>(() => {
  throw new Error('A field stands outside of any source of entries.');
});

/** The entry of a field by its name, a path into what is entered: `question.tie.bladeMm`. */
export function useEntry<T>(name: string): Entry<T> {
  const useSource = useContext(EntrySource);
  return useSource<T>(name);
}

/**
 * What a length field holds: millimetres, or what was typed when that is no length, so that
 * nothing is lost; `null` where “not measured” is an answer.
 */
export type LengthEntry = number | string | null;
