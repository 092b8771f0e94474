import { useCallback, useLayoutEffect, useRef } from 'react';

/** A function that stays the same and does what the newest one does: whoever is given it need not be drawn anew with it. */
export function useLatest<A extends readonly unknown[]>(newest: (...given: A) => void): (...given: A) => void {
  const latest = useRef(newest);
  useLayoutEffect(() => {
    latest.current = newest;
  });
  return useCallback((...given: A) => latest.current(...given), []);
}
