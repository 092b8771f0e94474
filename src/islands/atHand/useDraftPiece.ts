import { useMutation, useQueryClient } from '@tanstack/react-query';
import { draftPiece, type PieceKind } from '../../contract/records/draftPieces.ts';
import { keepRecord } from '../wire/queries.ts';
import { useSurroundings } from './useAtHand.ts';
import { type AtHand, withJacket, withShirt, withTie } from './values.ts';

const putOn: { readonly [K in PieceKind]: (now: AtHand, label: string, clientId: string | null, id: string) => AtHand } = {
  shirts: (now, ...of) => withShirt(now, draftPiece('shirts', ...of)),
  jackets: (now, ...of) => withJacket(now, draftPiece('jackets', ...of)),
  ties: (now, ...of) => withTie(now, draftPiece('ties', ...of)),
};

/**
 * Puts on a piece that is not measured yet. For a client on record it becomes theirs at once, a draft until it is
 * measured; for a walk-in it stands at hand only.
 */
export function useDraftPiece(): {
  readonly take: (kind: PieceKind, label: string) => void;
  readonly state: 'resting' | 'waiting' | 'refused';
} {
  const { store, units } = useSurroundings();
  const queries = useQueryClient();
  const adding = useMutation({
    mutationFn: ({ kind, label, clientId, id }: { kind: PieceKind; label: string; clientId: string; id: string }) =>
      keepRecord(kind, draftPiece(kind, label, clientId, id), units),
    onSuccess: (_, { kind }) =>
      Promise.all([queries.invalidateQueries({ queryKey: ['wardrobe'] }), queries.invalidateQueries({ queryKey: [kind] })]),
  });
  const take = (kind: PieceKind, label: string) => {
    const clientId = store.get().client.id;
    const id = clientId === null ? '' : crypto.randomUUID();
    store.change((now) => putOn[kind](now, label, clientId, id));
    if (clientId !== null) adding.mutate({ kind, label, clientId, id });
  };
  return { take, state: adding.isError ? 'refused' : adding.isPending && adding.failureCount > 0 ? 'waiting' : 'resting' };
}
