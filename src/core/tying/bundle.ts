import type { Finish, Spoke } from '../knot/knot.ts';
import type { Tie } from '../tie/tie.ts';
import { compressedThickness, widthAt } from '../tie/width.ts';
import { depthOf } from './packing.ts';
import type { Winding } from './winding.ts';

/** What a tied knot holds, spoke by spoke: the input of its shape. Areas mm², widths mm. */
export interface Bundle {
  readonly takeUpMm: number;
  readonly finish: Finish;
  /** Sections around each spoke once the knot is tied, the spoke itself included. */
  readonly sections: Readonly<Record<Spoke, number>>;
  /** Sections of the bare spokes, before the first move. */
  readonly bare: Readonly<Record<Spoke, number>>;
  /** Width of the last band across the front. */
  readonly facadeMm: number;
  /** Width of the panel that drops over an open knot; 0 where there is none. */
  readonly panelMm: number;
}

const aspect: Readonly<Record<Spoke, number>> = { tail: 3, tailArm: 2, bladeArm: 2 };

/** What a move costs: shares of half the perimeter of what it goes round, and of the band's own width. */
export interface Costs {
  readonly hanging: number;
  readonly arms: number;
  /** What a band spends on lying over and turning round the others. */
  readonly widthShare: number;
}

export const usualCosts: Costs = { hanging: 1, arms: 1, widthShare: 0.42 };

/** How the tie hangs, told of the end that stands still, mm. */
export interface StandingHang {
  readonly loopMm: number;
  /** Tip of the standing end below the collar button. */
  readonly standingMm: number;
}

/** Share of its round that a loose turn still encloses once it lies against the others. */
const airInLoose = 0.35;

/** How far a panel has to rise over a knot, as a share of its depth: a quarter turn less the way straight down. */
export const riseOfPanel = Math.PI / 2 - 1;

/** Follows the word move by move. `tie` is counted from the tip of the end that ties. */
export function bundleOf(winding: Winding, tie: Tie, hang: StandingHang, costs = usualCosts): Bundle {
  const { loopMm, standingMm } = hang;
  const { spokes, finish, looseFrom, looseMm } = winding;
  const standingSideAt = tie.lengthMm - standingMm;
  const activeSideAt = standingSideAt - loopMm;
  // A start the tie is too short for is still worth a number: how much is missing. It is worked out as if the tie went on.
  const thickness = compressedThickness(tie);
  const section = (xMm: number) => widthAt(tie, xMm) * thickness;
  const standing = section(Math.min(standingSideAt, tie.lengthMm - tie.tailMm / 2));
  const bare = { tail: standing, tailArm: standing, bladeArm: section(activeSideAt) };
  const sections = { ...bare };

  let used = 0;
  let facadeMm = 0;
  for (let i = 0; i < spokes.length; i++) {
    const spoke = spokes[i] as Spoke;
    const isLoose = i >= looseFrom;
    const x = activeSideAt - used;
    const tight = (spoke === 'tail' ? costs.hanging : costs.arms) * halfPerimeter(sections[spoke], aspect[spoke]);
    const length = (isLoose ? Math.max(tight, (Math.PI / 2) * looseMm) : tight) + costs.widthShare * widthAt(tie, x);
    const width = widthAt(tie, x - length / 2);
    used += length;
    sections[spoke] += width * thickness;
    // A loose turn stands around air as well, as far as it does not lie flat.
    if (isLoose) sections[spoke] = Math.max(sections[spoke], airInLoose * (Math.PI / 4) * looseMm ** 2);
    if (spoke === 'tail') facadeMm = width;
  }
  let panelMm = 0;
  if (finish === 'open') {
    used += riseOfPanel * depthOf(sections.tail);
    panelMm = widthAt(tie, activeSideAt - used);
  } else if (finish === 'tuck') {
    // The tuck goes down around the standing end; what it costs is the knot's height, which the hanging blade regains.
    sections.tail += section(activeSideAt - used);
  }
  return { takeUpMm: used, finish, sections, bare, facadeMm, panelMm };
}

/** Half the perimeter of an ellipse of area `area` and given aspect (Ramanujan's first approximation). */
function halfPerimeter(area: number, ratio: number): number {
  const a = Math.sqrt((area * ratio) / Math.PI);
  const b = Math.sqrt(area / (ratio * Math.PI));
  return (Math.PI / 2) * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
}
