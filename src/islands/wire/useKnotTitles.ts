import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { firstOfList } from '../../contract/answerKeys.ts';
import type { KnotPlan } from '../../core/index.ts';
import { listQuery } from './queries.ts';

/** What the studio calls its knots, by their canonical moves; empty until it is known. */
export function useStudioNames(): ReadonlyMap<string, string> {
  const namings = useQuery(listQuery('namings', firstOfList)).data?.rows;
  return useMemo(() => new Map(namings?.map(({ word, label }) => [word, label])), [namings]);
}

/** Calls a knot as the studio calls it, or else by its title. */
export type TitleOf = (knot: Pick<KnotPlan, 'moves' | 'title'>) => string;

export function useKnotTitle(): TitleOf {
  const called = useStudioNames();
  return ({ moves, title }) => called.get(moves) ?? title;
}
