import type { SeenCloth, SeenStrand } from '../../core/cloth/mesh/compact.ts';
import { frontOf } from '../../core/seen/front.ts';

const clearMm = 3;
/** Beside a leaf's front edge cloth comes out from under it by and by: over so many steps of so much, by so much more a step, mm. */
const edgeSteps = 7;
const edgeStepMm = 2;
const risesMm = 3;

type Leaf = (x: number, y: number) => number | undefined;

/**
 * A tied knot with its arms and shoulders laid under the leaves of a collar. `leaf` tells how far forward a leaf lies at a
 * place of the front, with the button at 0, 0; the knot's own places lie `raisedMm` lower than those.
 */
export function laidUnder(cloth: SeenCloth, leaf: Leaf, raisedMm: number): SeenCloth {
  // What is hidden is led away under the leaves as the arms are.
  const isLedAway = frontOf(cloth) === 'turn';
  const laid = (strand: SeenStrand, hangsInFront: boolean): SeenStrand => {
    const position = strand.position.slice();
    for (let v = 0; v < position.length / 3; v++) {
      const part = strand.parts[Math.floor(v / cloth.columns)] ?? 'arm';
      if (part === 'tuck' || (part === 'hang' && hangsInFront)) continue;
      const [x, y, z] = [position[3 * v] ?? 0, position[3 * v + 1] ?? 0, position[3 * v + 2] ?? 0];
      const most = mostForward(leaf, x, y + raisedMm);
      if (z > most) position[3 * v + 2] = most;
    }
    return { ...strand, position };
  };
  return { ...cloth, active: laid(cloth.active, !isLedAway), standing: laid(cloth.standing, true) };
}

/** How far forward cloth can lie at a place: under a leaf, or rising from under its edge; anywhere else as far as it likes. */
function mostForward(leaf: Leaf, x: number, y: number): number {
  const side = x < 0 ? -1 : 1;
  for (let step = 0; step <= edgeSteps; step++) {
    const depth = leaf(x + side * step * edgeStepMm, y);
    if (depth !== undefined) return depth - clearMm + step * risesMm;
  }
  return Number.POSITIVE_INFINITY;
}
