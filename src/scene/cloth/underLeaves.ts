import type { SeenCloth, SeenStrand } from '../../core/cloth/mesh/compact.ts';
import { frontEdges, frontOf } from '../../core/seen/front.ts';

/** The knot was drawn up in another collar: from so far below its upper edge on, what it has at its sides lies under these leaves, mm. */
const fromBelowEdgeMm = 12;
const clearMm = 2;
/** A band that stands out of a leaf by less than this slips under its edge; by more, it lies over it, mm. */
const slipsUnderMm = 8;

type Leaf = (x: number, y: number) => number | undefined;

/**
 * A tied knot with its arms and shoulders laid under the leaves of a collar. `leaf` tells how far forward a leaf lies at a
 * place of the front, with the button at 0, 0; the knot's own places lie `raisedMm` lower than those.
 */
export function laidUnder(cloth: SeenCloth, leaf: Leaf, raisedMm: number): SeenCloth {
  const from = frontEdges(cloth).top - fromBelowEdgeMm;
  const isLedAway = frontOf(cloth) === 'turn';
  const active = isLedAway ? endedUnder(cloth.active, cloth.columns, leaf, raisedMm) : cloth.active;
  const laid = (strand: SeenStrand, hangsInFront: boolean): SeenStrand => {
    const position = strand.position.slice();
    for (let v = 0; v < position.length / 3; v++) {
      const part = strand.parts[Math.floor(v / cloth.columns)] ?? 'arm';
      if (part === 'tuck' || (part === 'hang' && hangsInFront)) continue;
      const [x, y, z] = [position[3 * v] ?? 0, position[3 * v + 1] ?? 0, position[3 * v + 2] ?? 0];
      if (y < from && part !== 'band') continue;
      const depth = leaf(x, y + raisedMm);
      if (depth === undefined || (part === 'band' && z > depth + slipsUnderMm)) continue;
      if (z > depth - clearMm) position[3 * v + 2] = depth - clearMm;
    }
    return { ...strand, position };
  };
  return { ...cloth, active: laid(active, !isLedAway), standing: laid(cloth.standing, true) };
}

/** An end that is led away under the collar ends where it would come out of it above: there a hand folds it in. */
function endedUnder(strand: SeenStrand, columns: number, leaf: Leaf, raisedMm: number): SeenStrand {
  const { parts, rest, position } = strand;
  let { rows } = strand;
  for (; parts[rows - 1] === 'top' || parts[rows - 1] === 'hang'; rows--) {
    let [x, y] = [0, Number.NEGATIVE_INFINITY];
    for (let i = 3 * (rows - 1) * columns; i < 3 * rows * columns; i += 3)
      if ((position[i + 1] ?? 0) + raisedMm > y) [x, y] = [position[i] ?? 0, (position[i + 1] ?? 0) + raisedMm];
    if (y < 0 || leaf(x, y) !== undefined) break;
  }
  return { rows, parts: parts.slice(0, rows), rest: rest.slice(0, rows - 1), position: position.slice(0, 3 * rows * columns) };
}
