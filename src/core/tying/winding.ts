import { type ActiveEnd, type Finish, type Knot, type Spoke, spokesCrossed } from '../knot/knot.ts';
import { type Stance, stanceOf } from './stance.ts';

/** What the engine needs of a knot, worked out once: the same for every family. */
export interface Winding {
  /** The spoke that each move crosses, first move first. */
  readonly spokes: readonly Spoke[];
  readonly active: ActiveEnd;
  readonly finish: Finish;
  /** From this place in `spokes` on, turns are held open; past the end where none is. */
  readonly looseFrom: number;
  readonly looseMm: number;
  /** How the front stands; `undefined` where no band crosses it. */
  readonly stance: Stance | undefined;
}

export function windingOf(knot: Knot): Winding {
  const spokes = spokesCrossed(knot);
  return {
    spokes,
    active: knot.active,
    finish: knot.finish,
    looseFrom: knot.loose ? knot.loose.from - 1 : spokes.length,
    looseMm: knot.loose?.diameterMm ?? 0,
    stance: stanceOf(knot),
  };
}
