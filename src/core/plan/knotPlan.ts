import type { Landmark } from '../body/landmarks.ts';
import type { KnotProperties } from '../knot/properties.ts';
import type { KnotShape } from '../tying/shape.ts';
import type { Verdict } from './criteria/criterion.ts';
import type { Landing } from './landing.ts';
import type { TailFault, TailOutcome } from './tail.ts';

/** A landmark and how far below it the tip hangs (negative: above), mm. */
export interface NearLandmark {
  readonly name: string;
  readonly kind: Landmark['kind'];
  readonly offsetMm: number;
}

export interface Reason {
  readonly code: string;
  readonly verdict: Verdict;
  readonly text: string;
}

/** One knot, tied with this tie for this client. Lengths in mm, drops below the collar button. */
export interface KnotPlan {
  /** The canonical word; `properties.names` are labels on it. */
  readonly moves: string;
  readonly names: readonly string[];
  readonly properties: KnotProperties;
  readonly rank: number;
  readonly score: number;
  readonly feasible: boolean;
  /** Why it cannot be worn and by how much; `none` when it can. */
  readonly tailFault: TailFault;
  readonly takeUpMm: number;
  /** The shortest tie of these proportions that would do, mm; about right, since the taper shifts. */
  readonly lengthNeededMm: number;
  /** What the cloth must hold by itself, on the scale of the fabrics' grip. */
  readonly gripNeeded: number;
  readonly start: {
    /** Which end is hung at its landmark before the first move: the narrow tip, or the blade where the narrow end ties. */
    readonly sets: 'tail' | 'blade';
    readonly tailDropMm: number;
    readonly bladeDropMm: number;
    /** Blade tip below narrow tip. */
    readonly differenceMm: number;
    /** For the end that is set, nearest first. */
    readonly landmarks: readonly NearLandmark[];
    /** For the blade's tip, by those who place that one. */
    readonly bladeLandmark: NearLandmark;
  };
  readonly tip: Landing;
  readonly tail: TailOutcome;
  readonly shape: KnotShape;
  readonly collar: { readonly fill: number; readonly meetsAtMm: number };
  readonly reasons: readonly Reason[];
}
