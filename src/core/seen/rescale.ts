import type { SeenCloth, SeenStrand } from '../cloth/mesh/compact.ts';
import { referenceTying } from '../cloth/reference.ts';
import type { TyingRequest } from '../cloth/simulate.ts';
import { tieFrom } from '../tie/turned.ts';
import { bundleOf } from '../tying/bundle.ts';
import { shapeOf } from '../tying/shape.ts';
import { stanceOf } from '../tying/stance.ts';
import { windingOf } from '../tying/winding.ts';

/** How wide a knot comes out by the formulas, mm. */
function topMm({ knot, tie, loopMm, standingMm }: TyingRequest): number {
  return shapeOf(bundleOf(windingOf(knot), tieFrom(knot.active, tie), { loopMm, standingMm }), stanceOf(knot)).topMm;
}

/**
 * A ready mesh as large as the formulas make the knot in another tie: what can be shown at once, until that tie itself
 * has been tied in cloth.
 */
export function rescaledFor(request: TyingRequest, ready: SeenCloth): SeenCloth {
  const factor = topMm(request) / topMm(referenceTying(request.knot));
  const scaled = (strand: SeenStrand): SeenStrand => ({
    ...strand,
    rest: strand.rest.map((mm) => factor * mm),
    position: strand.position.map((mm) => factor * mm),
  });
  return { ...ready, active: scaled(ready.active), standing: scaled(ready.standing) };
}
