import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Wardrobe } from '../../contract/records/records.ts';
import { wardrobeQuery } from './queries.ts';

/** The wardrobe of the client at hand, who may have changed since the view began with `initial`. */
export function useWardrobe(clientId: string | null, initial: Wardrobe): Wardrobe {
  const isOther = clientId !== null && clientId !== initial.client?.id;
  const { data } = useQuery({ ...wardrobeQuery(clientId), enabled: isOther, placeholderData: keepPreviousData });
  return isOther ? (data ?? initial) : initial;
}
