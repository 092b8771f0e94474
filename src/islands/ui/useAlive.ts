import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** Whether scripts have taken the page over: what is of no use before is left out of what the server sends. */
export function useAlive(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
}
