import type { SeenCloth, SeenStrand } from '../../core/cloth/mesh/compact.ts';
import { frontEdges, frontOf } from '../../core/seen/front.ts';
import type { WornLeaf } from '../wearer/collar.ts';

const clearMm = 3;
/** Beside a leaf's front edge cloth comes out from under it by and by: over so many steps of so much, by so much more a step, mm. */
const edgeSteps = 7;
const edgeStepMm = 2;
const risesMm = 3;
/** What comes this near to the fold is laid down below it, less and less of what lies higher; between the leaves it may stand so far above the button, mm. */
const foldedOverMm = 12;
const belowFoldMm = 3;
const betweenLeavesMm = 5;

/**
 * A tied knot with its arms and shoulders laid under the leaves of a collar, as they lie once it is turned down: below its fold, and behind the leaves.
 * The knot's own places lie `raisedMm` lower than those of the leaf.
 */
export function laidUnder(cloth: SeenCloth, leaf: WornLeaf, raisedMm: number): SeenCloth {
  const front = frontOf(cloth);
  // What is hidden is led away under the leaves as the arms are.
  const isLedAway = front === 'turn';
  const { bottom } = frontEdges(cloth);
  const laid = (strand: SeenStrand, hangsInFront: boolean): SeenStrand => {
    const position = strand.position.slice();
    for (let v = 0; v < position.length / 3; v++) {
      const part = strand.parts[Math.floor(v / cloth.columns)] ?? 'arm';
      const [x, y, z] = [position[3 * v] ?? 0, position[3 * v + 1] ?? 0, position[3 * v + 2] ?? 0];
      if (y < bottom && (part === 'tuck' || (part === 'hang' && hangsInFront))) continue;
      const down = part === front && !isLedAway ? 0 : downUnderFold(leaf, x, y + raisedMm, z);
      position[3 * v + 1] = y - down;
      position[3 * v + 2] = Math.min(z, mostForward(leaf, x, y + raisedMm - down));
    }
    return { ...strand, position };
  };
  return { ...cloth, active: laid(cloth.active, !isLedAway), standing: laid(cloth.standing, true) };
}

/** How far cloth is laid down when the collar is folded over it, mm. */
function downUnderFold(leaf: WornLeaf, x: number, y: number, z: number): number {
  const from = Math.max(betweenLeavesMm, leaf.foldAt(x, z) - belowFoldMm) - foldedOverMm;
  const over = y - from;
  return over <= 0 ? 0 : (over * over) / (foldedOverMm + over);
}

/** How far forward cloth can lie at a place: under a leaf, or rising from under its edge; anywhere else as far as it likes. */
function mostForward(leaf: WornLeaf, x: number, y: number): number {
  const side = x < 0 ? -1 : 1;
  for (let step = 0; step <= edgeSteps; step++) {
    const depth = leaf.depthAt(x + side * step * edgeStepMm, y);
    if (depth !== undefined) return depth - clearMm + step * risesMm;
  }
  return Number.POSITIVE_INFINITY;
}
