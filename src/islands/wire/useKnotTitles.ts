import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { KnotPlan } from '../../core/index.ts';
import { listQuery } from './queries.ts';

/** What the studio calls its knots, by their words; empty until it is known. */
export function useStudioNames(): ReadonlyMap<string, string> {
  const namings = useQuery(listQuery('namings', {})).data?.rows;
  return useMemo(() => new Map(namings?.map(({ word, label }) => [word, label])), [namings]);
}

/** Calls a knot as the studio calls it, or by its name, or by how many moves it has. */
export function useKnotTitle(): (knot: Pick<KnotPlan, 'moves' | 'names' | 'properties'>) => string {
  const called = useStudioNames();
  return ({ moves, names, properties }) => called.get(moves) ?? names[0] ?? `${properties.moves}-move knot`;
}
