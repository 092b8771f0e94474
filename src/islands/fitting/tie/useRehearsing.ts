import { useEffect, useRef, useState } from 'react';
import { type Clock, startClock, stepDone } from '../../../core/practice/clock.ts';
import type { PracticePart } from '../../../core/practice/parts.ts';
import type { Tying } from './useTying.ts';

/** A run against the clock: each step forward ends one step of it. */
export interface Rehearsing {
  readonly state: 'resting' | 'running' | 'done';
  readonly id: string;
  readonly part: PracticePart;
  readonly setPart: (part: PracticePart) => void;
  /** So many times each step is shown before the next. */
  readonly repeats: 1 | 3;
  readonly setRepeats: (times: 1 | 3) => void;
  /** Steps that are timed. */
  readonly count: number;
  readonly seconds: readonly number[];
  /** Whole seconds since it began. */
  readonly elapsedS: number;
  readonly begin: () => void;
  readonly drop: () => void;
  /** Goes on, timing the step that ends, or showing it again where it is to be repeated. */
  readonly next: () => void;
}

/** `moves` of the `steps` after the laying-on are moves, the rest are the finish. */
export function useRehearsing(tying: Tying, moves: number, steps: number): Rehearsing {
  const [part, setPart] = useState<PracticePart>('moves');
  const [repeats, setRepeats] = useState<1 | 3>(1);
  const [shown, setShown] = useState(1);
  const [clock, setClock] = useState<Clock & { readonly id: string }>();
  const [nowMs, setNowMs] = useState(0);
  const count = part === 'moves' ? moves : steps - 1;
  const state = !clock ? 'resting' : clock.seconds.length < count ? 'running' : 'done';
  useEffect(() => {
    if (state !== 'running') return;
    const tick = setInterval(() => setNowMs(performance.now()), 500);
    return () => clearInterval(tick);
  }, [state]);
  // What goes on by itself ends a step as a hand does.
  const { at, isByItself } = tying;
  const shownBefore = useRef(at);
  useEffect(() => {
    const from = shownBefore.current;
    shownBefore.current = at;
    if (!isByItself || at !== from + 1) return;
    setClock((now) => (now && now.seconds.length < count ? { ...now, ...stepDone(now, from, performance.now()) } : now));
  }, [at, isByItself, count]);
  return {
    state,
    id: clock?.id ?? '',
    part,
    setPart: (to) => {
      setPart(to);
      setClock(undefined);
    },
    repeats,
    setRepeats,
    count,
    seconds: clock?.seconds ?? [],
    elapsedS: clock ? Math.max(0, Math.floor((nowMs - clock.beganMs) / 1000)) : 0,
    begin: () => {
      const now = performance.now();
      tying.go(0);
      setShown(1);
      setNowMs(now);
      setClock({ id: crypto.randomUUID(), ...startClock(now) });
    },
    drop: () => setClock(undefined),
    next: () => {
      if (shown < repeats && tying.at > 0) {
        setShown(shown + 1);
        return tying.again();
      }
      setShown(1);
      if (clock && state === 'running') setClock({ ...clock, ...stepDone(clock, tying.at, performance.now()) });
      tying.go(tying.at + 1);
    },
  };
}
