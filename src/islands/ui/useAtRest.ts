import { useEffect, useState } from 'react';

/** A hand that moves on does so within this time, ms. */
const restMs = 120;

/** A value as it stood when it last rested: while it changes from one moment to the next, the one before that began. */
export function useAtRest<T>(value: T): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    if (rested === value) return;
    const timer = setTimeout(() => setRested(value), restMs);
    return () => clearTimeout(timer);
  }, [value, rested]);
  return rested;
}
