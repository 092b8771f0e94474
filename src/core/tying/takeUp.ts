import { type Knot, type Spoke, spokesCrossed } from '../knot/knot.ts';
import { type KnownOfTie, supposeTie, type Tie } from '../tie/tie.ts';
import { compressedThickness, widthAt } from '../tie/width.ts';
import type { Bundle } from './bundle.ts';
import { type KnotShape, shapeOf } from './shape.ts';

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

/** Share of its own width that a band spends on lying over and turning round the others. */
const widthShare = 0.42;

/**
 * Cloth the knot takes up, mm, and its shape once drawn up. An engineering model: the
 * bands pack into ellipses around the three spokes, and each move goes half round one.
 * What is not known of the tie is supposed.
 */
export function takeUp(knot: Knot, tie: KnownOfTie, hang: Hang): { takeUpMm: number; shape: KnotShape } {
  const bundle = bundleOf(spokesCrossed(knot), supposeTie(tie), hang);
  return { takeUpMm: bundle.takeUpMm, shape: shapeOf(bundle) };
}

/** Follows the word move by move. `spokes` are those the knot crosses, first move first. */
export function bundleOf(spokes: readonly Spoke[], tie: Tie, hang: Hang): Bundle {
  const narrowSideAt = tie.lengthMm - hang.tailMm - (hang.crossingGapMm ?? 0);
  const bladeSideAt = narrowSideAt - hang.loopMm;
  // A start the tie is too short for is still worth a number: how much is missing. It is worked out as if the tail went on.
  const thickness = compressedThickness(tie);
  const section = (xMm: number) => widthAt(tie, xMm) * thickness;
  const narrow = section(Math.min(narrowSideAt, tie.lengthMm - tie.tailMm / 2));
  const bare = { narrowEnd: narrow, narrowArm: narrow, bladeArm: section(bladeSideAt) };
  const sections = { ...bare };

  let used = 0;
  let facadeMm = 0;
  for (const spoke of spokes) {
    const x = bladeSideAt - used;
    const length = halfPerimeter(sections[spoke], aspect[spoke]) + widthShare * widthAt(tie, x);
    const middle = x - length / 2;
    used += length;
    const width = widthAt(tie, middle);
    sections[spoke] += width * thickness;
    if (spoke === 'narrowEnd') facadeMm = width;
  }
  // The tuck goes down around the narrow end; what it costs is the knot's height, which the hanging blade regains.
  sections.narrowEnd += section(bladeSideAt - used);
  return { takeUpMm: used, sections, bare, facadeMm };
}

/** Half the perimeter of an ellipse of area `area` and given aspect (Ramanujan's first approximation). */
function halfPerimeter(area: number, ratio: number): number {
  const a = Math.sqrt((area * ratio) / Math.PI);
  const b = Math.sqrt(area / (ratio * Math.PI));
  return (Math.PI / 2) * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
}
