import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ClientRecord } from '../../contract/records/records.ts';
import { keepRecord, recordQuery } from '../wire/queries.ts';

/** Where a client's meaning of a shared name is kept. */
const kept = { Windsor: 'meansWindsor', 'Half-Windsor': 'meansHalfWindsor' } as const;
type SharedName = keyof typeof kept;

const isShared = (name: string): name is SharedName => name in kept;
const deviceKey = (name: string) => `ropewalk.meant.${name.toLowerCase()}`;

export interface Meaning {
  /** The word somebody means by a name that several knots share; `undefined` where that was never asked. */
  readonly of: (name: string) => string | undefined;
  readonly remember: (name: string, word: string) => void;
}

/**
 * Which knot a shared name means to a client, kept on their record; for names the record has no
 * place for, and where there is no client, on this device.
 */
export function useMeaning(client: ClientRecord | null): Meaning {
  const queries = useQueryClient();
  const { mutate } = useMutation({
    mutationFn: async ({ id, name, word }: { readonly id: string; readonly name: SharedName; readonly word: string }) => {
      const now = await queries.fetchQuery(recordQuery('clients', id));
      return keepRecord('clients', { ...now, [kept[name]]: word }, 'cm');
    },
    onSuccess: () => queries.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] === 'clients' || queryKey[0] === 'wardrobe' }),
  });
  return {
    of: (name) => (client && isShared(name) ? client[kept[name]] : localStorage.getItem(deviceKey(name))) ?? undefined,
    remember: (name, word) => {
      if (client && isShared(name)) mutate({ id: client.id, name, word });
      else localStorage.setItem(deviceKey(name), word);
    },
  };
}
