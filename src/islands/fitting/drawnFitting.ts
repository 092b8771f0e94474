import type { KnotPlan, PlanRequest } from '../../core/index.ts';
import type { View } from '../../drawing/geometry/view.ts';
import type { KnotPicture } from '../../drawing/knot/picture.ts';
import type { DrawnColours } from '../seen/dressed.ts';

/** The fitting as every stage draws it. */
export interface DrawnFitting {
  readonly request: PlanRequest;
  /** The knot in hand. */
  readonly plan: KnotPlan;
  readonly view: View;
  readonly picture: KnotPicture | undefined;
  readonly colours: DrawnColours;
}
