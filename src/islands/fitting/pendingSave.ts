import { isAtHand } from '../atHand/kept.ts';
import { type AtHand, isSameFitting } from '../atHand/values.ts';

const key = 'ropewalk.saving';

/** A fitting that is being saved, and the id it goes under. */
interface PendingSave {
  readonly values: AtHand;
  readonly knot: string;
  readonly id: string;
}

/** What this window is saving and has no answer to yet; a reload keeps it, so that what may have got through is not saved twice. */
export function pendingSave(): PendingSave | undefined {
  try {
    const kept = JSON.parse(sessionStorage.getItem(key) ?? 'null') as Partial<PendingSave> | null;
    return kept && isAtHand(kept.values) && typeof kept.knot === 'string' && typeof kept.id === 'string'
      ? (kept as PendingSave)
      : undefined;
  } catch {
    return undefined;
  }
}

/** The save of this very fitting: the one that is pending, or a new one in its place. */
export function saveOf(values: AtHand, knot: string): PendingSave {
  const pending = pendingSave();
  if (pending && pending.knot === knot && isSameFitting(pending.values, values)) return pending;
  const save = { values, knot, id: crypto.randomUUID() };
  sessionStorage.setItem(key, JSON.stringify(save));
  return save;
}

/** It is saved: the same things once more are another fitting. */
export function savedNow(): void {
  sessionStorage.removeItem(key);
}
