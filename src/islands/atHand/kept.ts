import type { AtHand } from './values.ts';

const key = 'ropewalk.bench.3';

/** What stood on the bench when this window last left it, so that a reload loses nothing. */
export function keptBench(): AtHand | undefined {
  const kept = sessionStorage.getItem(key);
  if (!kept) return undefined;
  try {
    return JSON.parse(kept) as AtHand;
  } catch {
    return undefined;
  }
}

export function keepBench(values: AtHand): void {
  sessionStorage.setItem(key, JSON.stringify(values));
}

export function clearBench(): void {
  sessionStorage.removeItem(key);
}
