import type { Knot, Spoke } from '../knot/knot.ts';
import { type KnownOfTie, supposeTie, type Tie } from '../tie/tie.ts';
import { tieFrom } from '../tie/turned.ts';
import { compressedThickness, widthAt } from '../tie/width.ts';
import type { Bundle } from './bundle.ts';
import { depthOf, type KnotShape, shapeOf } from './shape.ts';
import { type Winding, windingOf } from './winding.ts';

/** How the tie hangs before the first move, mm. */
export interface Hang {
  /** Length around the neck: collar size and the allowance for the collar's fold. */
  readonly loopMm: number;
  /** Narrow tip below the collar button. */
  readonly tailMm: number;
  /** Room left between the button and the crossing; 0 when the ends cross at the throat. */
  readonly crossingGapMm?: number;
}

const aspect: Readonly<Record<Spoke, number>> = { narrowEnd: 3, narrowArm: 2, bladeArm: 2 };

/** What a move costs: shares of half the perimeter of what it goes round, and of the band's own width. */
export interface Costs {
  readonly hanging: number;
  readonly arms: number;
  /** What a band spends on lying over and turning round the others. */
  readonly widthShare: number;
}

export const usualCosts: Costs = { hanging: 1, arms: 1, widthShare: 0.42 };

/**
 * Cloth the knot takes up, mm, and its shape once drawn up. An engineering model: the
 * bands pack into ellipses around the three spokes, and each move goes half round one.
 * What is not known of the tie is supposed.
 */
export function takeUp(knot: Knot, tie: KnownOfTie, hang: Hang): { takeUpMm: number; shape: KnotShape } {
  const winding = windingOf(knot);
  const whole = supposeTie(tie);
  const { loopMm, tailMm, crossingGapMm = 0 } = hang;
  const standingMm = winding.active === 'blade' ? tailMm : whole.lengthMm - loopMm - tailMm;
  const bundle = bundleOf(winding, tieFrom(winding.active, whole), { loopMm, standingMm, crossingGapMm });
  return { takeUpMm: bundle.takeUpMm, shape: shapeOf(bundle) };
}

/** How the tie hangs, told of the end that stands still, mm. */
export interface StandingHang {
  readonly loopMm: number;
  /** Tip of the standing end below the collar button. */
  readonly standingMm: number;
  readonly crossingGapMm: number;
}

/** Share of its round that a loose turn still encloses once it lies against the others. */
const airInLoose = 0.35;

/** How far a panel has to rise over a knot, as a share of its depth: a quarter turn less the way straight down. */
const riseOfPanel = Math.PI / 2 - 1;

/** Follows the word move by move. `tie` is counted from the tip of the end that ties. */
export function bundleOf(winding: Winding, tie: Tie, hang: StandingHang, costs = usualCosts): Bundle {
  const { loopMm, standingMm, crossingGapMm } = hang;
  const { spokes, finish, looseFrom, looseMm } = winding;
  const standingSideAt = tie.lengthMm - standingMm - crossingGapMm;
  const activeSideAt = standingSideAt - loopMm;
  // A start the tie is too short for is still worth a number: how much is missing. It is worked out as if the tie went on.
  const thickness = compressedThickness(tie);
  const section = (xMm: number) => widthAt(tie, xMm) * thickness;
  const standing = section(Math.min(standingSideAt, tie.lengthMm - tie.tailMm / 2));
  const bare = { narrowEnd: standing, narrowArm: standing, bladeArm: section(activeSideAt) };
  const sections = { ...bare };

  let used = 0;
  let facadeMm = 0;
  for (let i = 0; i < spokes.length; i++) {
    const spoke = spokes[i] as Spoke;
    const isLoose = i >= looseFrom;
    const x = activeSideAt - used;
    const tight = (spoke === 'narrowEnd' ? costs.hanging : costs.arms) * halfPerimeter(sections[spoke], aspect[spoke]);
    const length = (isLoose ? Math.max(tight, (Math.PI / 2) * looseMm) : tight) + costs.widthShare * widthAt(tie, x);
    const width = widthAt(tie, x - length / 2);
    used += length;
    sections[spoke] += width * thickness;
    // A loose turn stands around air as well, as far as it does not lie flat.
    if (isLoose) sections[spoke] = Math.max(sections[spoke], airInLoose * (Math.PI / 4) * looseMm ** 2);
    if (spoke === 'narrowEnd') facadeMm = width;
  }
  let panelMm = 0;
  if (finish === 'open') {
    used += riseOfPanel * depthOf(sections.narrowEnd);
    panelMm = widthAt(tie, activeSideAt - used);
  } else if (finish === 'tuck') {
    // The tuck goes down around the standing end; what it costs is the knot's height, which the hanging blade regains.
    sections.narrowEnd += section(activeSideAt - used);
  }
  return { takeUpMm: used, finish, stance: winding.stance, sections, bare, facadeMm, panelMm };
}

/** Half the perimeter of an ellipse of area `area` and given aspect (Ramanujan's first approximation). */
function halfPerimeter(area: number, ratio: number): number {
  const a = Math.sqrt((area * ratio) / Math.PI);
  const b = Math.sqrt(area / (ratio * Math.PI));
  return (Math.PI / 2) * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
}
