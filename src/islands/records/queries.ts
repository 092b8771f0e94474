import { QueryClient, queryOptions } from '@tanstack/react-query';
import type { Fitting, FittingDraft, FittingSummary } from '../../contract/fitting.ts';
import type { Wardrobe } from '../../contract/records.ts';
import { ask, Outage } from './http.ts';

const longestPauseMs = 5000;

/** Outages are waited out, however long; refusals are not repeated. */
const patience = {
  retry: (_count: number, error: Error) => error instanceof Outage,
  retryDelay: (attempt: number) => Math.min(1000 * 2 ** attempt, longestPauseMs),
  networkMode: 'always',
} as const;

export function createQueryClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: { ...patience, staleTime: 30_000, refetchOnWindowFocus: false },
      mutations: patience,
    },
  });
}

export const wardrobeQuery = queryOptions({ queryKey: ['wardrobe'], queryFn: () => ask<Wardrobe>('/api/wardrobe') });

export const fittingsQuery = queryOptions({ queryKey: ['fittings'], queryFn: () => ask<FittingSummary[]>('/api/fittings') });

export function fittingQuery(id: string) {
  return queryOptions({ queryKey: ['fittings', id], queryFn: () => ask<Fitting>(`/api/fittings/${encodeURIComponent(id)}`) });
}

export function saveFitting(draft: FittingDraft): Promise<Fitting> {
  return ask<Fitting>('/api/fittings', { method: 'POST', body: draft });
}
