import type { SeenCloth, SeenStrand } from '../../core/cloth/compact.ts';
import { frontEdges } from '../../core/cloth/seen/alone.ts';

/** The knot was drawn up in another collar: from so far below its upper edge on, what it has at its sides lies under these leaves, mm. */
const fromBelowEdgeMm = 12;
const clearMm = 2;
/** A band that stands out of a leaf by less than this slips under its edge; by more, it lies over it, mm. */
const slipsUnderMm = 8;
const inFront = new Set(['tuck', 'hang']);

/**
 * A tied knot with its arms and shoulders laid under the leaves of a collar. `leaf` tells how far forward a leaf lies at a
 * place of the front, with the button at 0, 0; the knot's own places lie `raisedMm` lower than those.
 */
export function laidUnder(cloth: SeenCloth, leaf: (x: number, y: number) => number | undefined, raisedMm: number): SeenCloth {
  const from = frontEdges(cloth).top - fromBelowEdgeMm;
  const laid = (strand: SeenStrand): SeenStrand => {
    const position = strand.position.slice();
    for (let v = 0; v < position.length / 3; v++) {
      const part = strand.parts[Math.floor(v / cloth.columns)] ?? 'arm';
      if (inFront.has(part)) continue;
      const [x, y, z] = [position[3 * v] ?? 0, position[3 * v + 1] ?? 0, position[3 * v + 2] ?? 0];
      if (y < from && part !== 'band') continue;
      const depth = leaf(x, y + raisedMm);
      if (depth === undefined || (part === 'band' && z > depth + slipsUnderMm)) continue;
      if (z > depth - clearMm) position[3 * v + 2] = depth - clearMm;
    }
    return { ...strand, position };
  };
  return { ...cloth, active: laid(cloth.active), standing: laid(cloth.standing) };
}
