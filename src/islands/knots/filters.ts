import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';

/** Which of the knots are wanted. */
export interface Filters {
  readonly named: boolean;
  readonly releasing: boolean;
  readonly seamIn: boolean;
  readonly feasible: boolean;
  readonly mostMoves: number;
}

export const noFilters: Filters = { named: false, releasing: false, seamIn: false, feasible: false, mostMoves: 9 };

export const filterLabels: Readonly<Record<Exclude<keyof Filters, 'mostMoves'>, string>> = {
  named: 'has a name',
  releasing: 'pulls open',
  seamIn: 'starts seam to the shirt',
  feasible: 'works with this tie',
};

export function passes({ plan: { properties, names, feasible } }: MappedKnot, filters: Filters): boolean {
  return (
    (!filters.named || names.length > 0) &&
    (!filters.releasing || properties.selfReleasing) &&
    (!filters.seamIn || properties.startSeam === 'in') &&
    (!filters.feasible || feasible) &&
    properties.moves <= filters.mostMoves
  );
}
