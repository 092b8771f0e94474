import { queryOptions } from '@tanstack/react-query';
import { type SeenCloth, unpackCloth } from '../../core/cloth/mesh/compact.ts';

/** The ready mesh of a knot, tied with the reference tie; `null` where there is none. */
export function readyClothQuery(code: string) {
  return queryOptions({
    queryKey: ['cloth', code],
    staleTime: Number.POSITIVE_INFINITY,
    queryFn: async (): Promise<SeenCloth | null> => {
      const response = await fetch(`/cloth/${encodeURIComponent(code)}.bin`);
      if (!response.ok) return null;
      return unpackCloth(new Uint8Array(await response.arrayBuffer()));
    },
  });
}
