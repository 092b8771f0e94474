/** A run against the clock. */
export interface Clock {
  readonly beganMs: number;
  /** When the step at hand began. */
  readonly stepMs: number;
  /** Seconds for each step that is done, the first one first. */
  readonly seconds: readonly number[];
}

export function startClock(nowMs: number): Clock {
  return { beganMs: nowMs, stepMs: nowMs, seconds: [] };
}

/**
 * The clock as the step after so many goes over into the next. A step that was gone back to and is made again was timed already:
 * what it takes counts to the one that is not done yet.
 */
export function stepDone(clock: Clock, stepsBefore: number, nowMs: number): Clock {
  if (stepsBefore < clock.seconds.length) return clock;
  return { ...clock, stepMs: nowMs, seconds: [...clock.seconds, (nowMs - clock.stepMs) / 1000] };
}
