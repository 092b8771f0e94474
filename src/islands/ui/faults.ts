import { createContext, useContext } from 'react';
import type { Fault } from '../../core/measures/faults.ts';

/** Faults of the form at hand, by the names of its fields; checked by the same rules as the server's. */
export const Faults = createContext<readonly Fault[]>([]);

/** Everything wrong with one field, in one sentence or more. */
export function useFault(name: string): string | undefined {
  const messages = useContext(Faults)
    .filter(({ path }) => path === name || path.startsWith(`${name}.`))
    .map(({ message }) => message);
  return messages.length > 0 ? [...new Set(messages)].join(' ') : undefined;
}
