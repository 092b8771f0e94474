import { useEffect, useRef, useState } from 'react';

const key = 'ropewalk.tying.1';
/** At a learner's pace from one step to the next. */
const moveMs = 1300;

const stillsQuery = '(prefers-reduced-motion: reduce)';

/** At what pace steps follow each other by themselves, in seconds a step. */
export const paces = { learner: { label: 'learner', s: 9 }, usual: { label: 'usual', s: 6 }, quick: { label: 'quick', s: 3.5 } } as const;
export type PaceCode = keyof typeof paces;

/** Which step of a tying is at hand, and how far the picture is on its way to it. Kept in the window, so that a reload loses no place. */
export interface Tying {
  readonly at: number;
  /** The step shown, and parts of one while it moves or is scrubbed. */
  readonly shownAt: number;
  readonly isMoving: boolean;
  readonly isByItself: boolean;
  readonly pace: PaceCode;
  readonly go: (to: number) => void;
  /** Makes the step at hand once more. */
  readonly again: () => void;
  readonly scrub: (to: number) => void;
  readonly setByItself: (on: boolean) => void;
  readonly setPace: (pace: PaceCode) => void;
}

export function useTying(moves: string, count: number): Tying {
  const last = count - 1;
  const [at, setAt] = useState(0);
  const [shownAt, setShownAt] = useState(0);
  const [isMoving, setMoving] = useState(false);
  const [isByItself, setByItself] = useState(false);
  const [pace, setPace] = useState<PaceCode>('usual');
  const frame = useRef(0);

  useEffect(() => {
    const kept = keptAt(moves);
    if (kept === undefined) return;
    setAt(kept);
    setShownAt(kept);
  }, [moves]);
  useEffect(() => () => cancelAnimationFrame(frame.current), []);

  const rest = (to: number) => {
    cancelAnimationFrame(frame.current);
    setMoving(false);
    setShownAt(to);
  };
  const go = (wanted: number) => {
    const to = Math.max(0, Math.min(last, wanted));
    if (to === last) setByItself(false);
    if (to === at && shownAt === at) return;
    setAt(to);
    sessionStorage.setItem(key, JSON.stringify({ moves, at: to }));
    const stills = matchMedia(stillsQuery).matches;
    if (stills || Math.abs(to - shownAt) > 1.01) return rest(to);
    move(shownAt, to);
  };
  const move = (from: number, to: number) => {
    cancelAnimationFrame(frame.current);
    setMoving(true);
    const began = performance.now();
    const step = (now: number) => {
      const share = Math.max(0, Math.min(1, (now - began) / moveMs));
      if (share === 1) return rest(to);
      setShownAt(from + (to - from) * share * share * (3 - 2 * share));
      frame.current = requestAnimationFrame(step);
    };
    frame.current = requestAnimationFrame(step);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: every step sets its own clock.
  useEffect(() => {
    if (!isByItself) return;
    const next = setTimeout(() => go(at + 1), 1000 * paces[pace].s);
    return () => clearTimeout(next);
  }, [isByItself, pace, at]);

  return {
    at: Math.min(at, last),
    shownAt: Math.min(shownAt, last),
    isMoving,
    isByItself,
    pace,
    go,
    again: () => (matchMedia(stillsQuery).matches ? rest(at) : move(Math.max(0, at - 1), at)),
    scrub: (to) => {
      rest(to);
      setByItself(false);
      setAt(Math.round(to));
    },
    setByItself,
    setPace,
  };
}

function keptAt(moves: string): number | undefined {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(key) ?? 'null');
    if (typeof kept !== 'object' || kept === null || !('moves' in kept) || !('at' in kept)) return undefined;
    return kept.moves === moves && typeof kept.at === 'number' && Number.isInteger(kept.at) && kept.at >= 0 ? kept.at : undefined;
  } catch {
    return undefined;
  }
}
