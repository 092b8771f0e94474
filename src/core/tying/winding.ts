import type { ActiveEnd, Finish, Knot, Spoke } from '../knot/knot.ts';
import { passesOf } from '../knot/passes.ts';

/** What the engine needs of a knot, worked out once: the same for every family. */
export interface Winding {
  /** The spoke that each move crosses, first move first. */
  readonly spokes: readonly Spoke[];
  readonly active: ActiveEnd;
  readonly finish: Finish;
  /** From this place in `spokes` on, turns are held open; past the end where none is. */
  readonly looseFrom: number;
  readonly looseMm: number;
}

export function windingOf(knot: Knot): Winding {
  const passes = passesOf(knot);
  const firstLoose = passes.findIndex(({ isLoose }) => isLoose);
  return {
    spokes: passes.map(({ spoke }) => spoke),
    active: knot.active,
    finish: knot.finish,
    looseFrom: firstLoose < 0 ? passes.length : firstLoose,
    looseMm: knot.loose?.diameterMm ?? 0,
  };
}
