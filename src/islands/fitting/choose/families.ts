import type { KnotPlan } from '../../../core/index.ts';

/** A knot of the ranking with the other paths that pass under its name, which stand behind it. */
export interface RankedFamily {
  readonly first: KnotPlan;
  readonly variants: readonly KnotPlan[];
}

/** The ranking with the paths of one name put together under the best of them. `knots` best first. */
export function familiesOf(knots: readonly KnotPlan[]): RankedFamily[] {
  const byName = new Map<string, KnotPlan[]>();
  for (const knot of knots) {
    const name = knot.properties.family ?? knot.moves;
    byName.set(name, [...(byName.get(name) ?? []), knot]);
  }
  return [...byName.values()].flatMap(([first, ...variants]) => (first ? [{ first, variants }] : []));
}

/** The place of a knot's name in the ranking, from 1, as the list counts. */
export function placeOf({ moves }: KnotPlan, knots: readonly KnotPlan[]): number {
  return familiesOf(knots).findIndex(({ first, variants }) => [first, ...variants].some((each) => each.moves === moves)) + 1;
}
