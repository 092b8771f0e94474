import { useSyncExternalStore } from 'react';
import { flushSync } from 'react-dom';

let printing = false;

function subscribe(onChange: () => void): () => void {
  const turn = (to: boolean) => () => {
    printing = to;
    // The page is put on paper as soon as the event has been heard.
    flushSync(onChange);
  };
  const before = turn(true);
  const after = turn(false);
  addEventListener('beforeprint', before);
  addEventListener('afterprint', after);
  return () => {
    removeEventListener('beforeprint', before);
    removeEventListener('afterprint', after);
  };
}

/** Whether the page is being put on paper: what is seen there only need not follow every drag. */
export function usePrinting(): boolean {
  return useSyncExternalStore(
    subscribe,
    () => printing,
    () => false,
  );
}
