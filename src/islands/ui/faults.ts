import type { Fault } from '../../core/measures/faults.ts';

/** Everything wrong with one field, in one sentence or more. */
export function faultOf(faults: readonly Fault[], name: string): string | undefined {
  const messages = faults.filter(({ path }) => path === name || path.startsWith(`${name}.`)).map(({ message }) => message);
  return messages.length > 0 ? [...new Set(messages)].join(' ') : undefined;
}
