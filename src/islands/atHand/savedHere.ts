import equal from 'fast-deep-equal';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Fitting } from '../../contract/fitting.ts';
import { answerVersion } from '../../contract/keptAnswer.ts';
import type { Attempt } from '../../core/start/attempts.ts';
import { isAtHand, isAttempt } from './kept.ts';
import type { AtHand } from './values.ts';

const key = 'ropewalk.saved-here';

/** A fitting that was saved from this window, with the tyings that went with it. */
export type SavedTyings = Pick<Fitting, 'id' | 'attempts'>;

interface Kept {
  /** The latest, and what stood at hand when it was saved; `null` once another one was begun. */
  readonly last: { readonly fitting: Fitting; readonly values: AtHand } | null;
  readonly all: readonly SavedTyings[];
}

/** What was saved from this window. A reload keeps it, so that nothing is saved twice or learnt from twice. */
export interface SavedHere extends Kept {
  readonly note: (fitting: Fitting, values: AtHand) => void;
  /** The next save is another fitting, whatever stands at hand. */
  readonly startAnew: () => void;
}

const none: Kept = { last: null, all: [] };

export function useSavedHere(): SavedHere {
  const [kept, setKept] = useState<Kept>(none);
  useEffect(() => setKept(readKept()), []);
  const put = useCallback((change: (before: Kept) => Kept) => {
    setKept((before) => {
      const after = change(before);
      sessionStorage.setItem(key, JSON.stringify(after));
      return after;
    });
  }, []);
  const note = useCallback(
    (fitting: Fitting, values: AtHand) =>
      put(({ all }) => ({
        last: { fitting, values },
        all: [...all.filter(({ id }) => id !== fitting.id), { id: fitting.id, attempts: fitting.attempts ?? [] }],
      })),
    [put],
  );
  const startAnew = useCallback(() => put(({ all }) => ({ last: null, all })), [put]);
  return useMemo(() => ({ ...kept, note, startAnew }), [kept, note, startAnew]);
}

/** The tyings among `attempts` that went with none of the fittings; the same list where none did. */
export function notOf(fittings: readonly SavedTyings[], attempts: readonly Attempt[]): readonly Attempt[] {
  const left = attempts.filter((attempt) => !fittings.some(({ attempts: own }) => own.some((each) => equal(each, attempt))));
  return left.length === attempts.length ? attempts : left;
}

/** Only what can still be read as that: an older version may have written it. */
function readKept(): Kept {
  try {
    const read = JSON.parse(sessionStorage.getItem(key) ?? 'null') as Kept | null;
    if (!read?.all.every(({ id, attempts }) => typeof id === 'string' && attempts.every(isAttempt))) return none;
    const { last } = read;
    const isWhole = last && last.fitting.answerVersion === answerVersion && isAtHand(last.values);
    return { last: isWhole ? last : null, all: read.all };
  } catch {
    return none;
  }
}
