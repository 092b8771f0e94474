import type { CollarClass } from '../../collar/collar.ts';
import type { CollarFill } from '../../collar/fill.ts';
import type { Hidden } from '../../collar/hides.ts';
import type { KnotProperties } from '../../knot/properties.ts';
import type { KnotShape } from '../../tying/shape.ts';
import type { Landing } from '../landing.ts';
import type { PlanRequest } from '../request.ts';
import type { Refusal, TailOutcome } from '../tail.ts';

/** One knot tied with this tie on this client, as the criteria look at it. */
export interface Situation {
  readonly request: PlanRequest;
  readonly properties: KnotProperties;
  readonly shape: KnotShape;
  readonly collar: CollarFill;
  readonly collarClass: CollarClass;
  /** What the collar leaves to be seen of the tie's band. */
  readonly hidden: Hidden;
  readonly landing: Landing;
  readonly tail: TailOutcome;
  readonly refusal: Refusal | null;
  /** Writes a length in the reader's unit. */
  readonly say: (mm: number) => string;
}

export type Verdict = 'good' | 'fair' | 'poor';

export interface Judgement {
  /** 0 (wrong) to 1 (as good as it can be). */
  readonly score: number;
  readonly verdict: Verdict;
  /** Empty where it weighs, and too little to be told. */
  readonly text: string;
  /** What is left of the whole score where this speaks so strongly against it, 0 to 1; all of it where nothing is said. */
  readonly leaves?: number;
}

/** One thing a stylist weighs. `judge` answers `undefined` where it has nothing to say. */
export interface Criterion {
  readonly code: string;
  /** Share in the ranking; the shares of those that speak are made to add up to 1. */
  readonly weight: number;
  readonly judge: (situation: Situation) => Judgement | undefined;
}

/** 1 at `best`, falling on both sides to 0.6 at one `width` away (a bell curve). */
export function nearness(value: number, best: number, width: number): number {
  return Math.exp(-0.5 * ((value - best) / width) ** 2);
}
