import type { Landmark } from '../body/landmarks.ts';
import type { KnotProperties } from '../knot/properties.ts';
import type { Step } from '../knot/steps.ts';
import type { Readings } from '../tying/readings.ts';
import type { KnotShape } from '../tying/shape.ts';
import type { Verdict } from './criteria/criterion.ts';
import type { Landing } from './landing.ts';
import type { Refusal, TailOutcome } from './tail.ts';

/** A landmark and how far below it the tip hangs (negative: above), mm. */
export interface NearLandmark {
  readonly name: string;
  readonly kind: Landmark['kind'];
  readonly offsetMm: number;
  /** How far the blade's tip may miss where the start is set by this landmark. */
  readonly tipSdMm: number;
}

export interface Reason {
  readonly code: string;
  readonly verdict: Verdict;
  readonly text: string;
}

/** The end that is hung before the first move, and how far below the collar button. */
export interface SetEnd {
  /** The tail, or the blade where the tail ties. */
  readonly end: 'tail' | 'blade';
  readonly dropMm: number;
}

/** One knot, tied with this tie for this client. Lengths in mm, drops below the collar button. */
export interface KnotPlan {
  /** The canonical moves; names are labels on them. */
  readonly moves: string;
  readonly code: string;
  /** Its first name, or `Knot` and its code. */
  readonly title: string;
  readonly names: readonly string[];
  readonly properties: KnotProperties;
  /** Every move in the wearer's mirror, the blade on the client's side. */
  readonly steps: readonly Step[];
  readonly rank: number;
  readonly score: number;
  readonly feasible: boolean;
  /** Why it won't work and by how much; `null` when it does. */
  readonly refusal: (Refusal & { readonly text: string }) | null;
  readonly takeUpMm: number;
  /** The shortest tie of these proportions that would do, mm; about right, since the taper shifts. */
  readonly lengthNeededMm: number;
  /** What the fabric must hold by itself, on the scale of the fabrics' grip. */
  readonly gripNeeded: number;
  readonly start: {
    readonly set: SetEnd;
    readonly tailDropMm: number;
    readonly bladeDropMm: number;
    /** Blade tip below tail tip, ends crossed at the button. */
    readonly differenceMm: number;
    /** For the end that is set, nearest first. */
    readonly landmarks: readonly NearLandmark[];
    /** For the blade's tip, by those who place that one. */
    readonly bladeLandmark: NearLandmark;
    /** The start in each state, and how far the blade's tip may miss where it is read there; older answers don't say. */
    readonly readings: Readings & { readonly tipSdMm?: Readonly<Record<keyof Readings, number>> };
  };
  readonly tip: Landing;
  readonly tail: TailOutcome;
  readonly shape: KnotShape;
  readonly collar: { readonly fill: number; readonly meetsAtMm: number };
  readonly reasons: readonly Reason[];
}
