import { keepAtHand } from './kept.ts';
import { useAtHand } from './useAtHand.ts';
import type { AtHand } from './values.ts';

/** Takes a change to the fitting, where it can be undone. */
export function useTakeToFitting(): (change: (now: AtHand) => AtHand) => void {
  const { store } = useAtHand();
  return (change) => {
    store.change(change);
    keepAtHand(store.get(), store.steps(), '');
    location.assign('/');
  };
}
