import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { wardrobeQuery } from '../wire/queries.ts';
import { useSurroundings } from './useAtHand.ts';
import { withClient } from './values.ts';

/** Takes another client to the fitting, with what is theirs; what is held stays. */
export function useTakeClient() {
  const { store } = useSurroundings();
  const queries = useQueryClient();
  const asked = useRef<string>(undefined);
  const [fetching, setFetching] = useState<string>();
  /** Answers whether it was this one that was taken. */
  const take = async (id: string, name: string): Promise<boolean> => {
    asked.current = id;
    setFetching(name);
    const theirs = await queries.fetchQuery(wardrobeQuery(id)).catch(() => undefined);
    // Another one may have been chosen while this one was fetched.
    if (asked.current !== id) return false;
    setFetching(undefined);
    const { client } = theirs ?? {};
    if (!theirs || !client) return false;
    store.change((now) => {
      const then = withClient(now, client, theirs);
      // What was told of the choice before goes with it.
      return then.told === now.told ? { ...then, told: null } : then;
    });
    return true;
  };
  return { fetching, take };
}
