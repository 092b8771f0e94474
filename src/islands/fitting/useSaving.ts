import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { Fitting, FittingDraft } from '../../contract/fitting.ts';
import type { Worked } from '../atHand/useWorkedPlan.ts';
import type { AtHand } from '../atHand/values.ts';
import { fittingsQuery, saveFitting } from '../wire/queries.ts';

export type SavingState =
  | { readonly kind: 'unsaved' }
  | { readonly kind: 'saving' }
  /** The records cannot be reached; it goes on trying. */
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saved'; readonly fitting: Fitting }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'given-up' };

export interface Saving {
  readonly state: SavingState;
  readonly save: (values: AtHand, worked: Worked, knot: string) => void;
  readonly giveUp: () => void;
}

/**
 * Saves fittings. While the records are out of reach it keeps trying, and says so; each
 * fitting has its own id, so a save that got through unnoticed is not made twice.
 */
export function useSaving(values: AtHand): Saving {
  const queries = useQueryClient();
  const attempt = useRef<{ readonly what: string; readonly id: string } | undefined>(undefined);
  const saved = useRef<string | undefined>(undefined);
  // Drafts that are no longer to be tried; a try that waits for its turn looks here first.
  const stopped = useRef(new Set<string>());
  const [givenUp, setGivenUp] = useState(false);
  const mutation = useMutation({
    mutationFn: async (draft: FittingDraft) => {
      if (stopped.current.has(draft.id)) throw new Error('Given up before it was tried again.');
      return saveFitting(draft);
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: fittingsQuery.queryKey }),
  });
  const now = JSON.stringify(values);

  const save: Saving['save'] = (bench, { question }, knot) => {
    const what = JSON.stringify([bench, knot]);
    if (attempt.current?.what !== what) attempt.current = { what, id: crypto.randomUUID() };
    saved.current = JSON.stringify(bench);
    const { id } = attempt.current;
    stopped.current.delete(id);
    setGivenUp(false);
    mutation.mutate({
      id,
      clientId: bench.client.id,
      shirtId: bench.shirt.id,
      jacketId: bench.jacket?.id ?? null,
      tieId: bench.tie.id,
      clientName: bench.client.label,
      shirtLabel: bench.shirt.label,
      jacketLabel: bench.jacket?.label ?? null,
      tieLabel: bench.tie.label,
      cloth: bench.cloth,
      question,
      knot,
      note: bench.note,
    });
  };

  const giveUp = () => {
    if (attempt.current) stopped.current.add(attempt.current.id);
    setGivenUp(true);
  };

  return { state: stateOf(), save, giveUp };

  function stateOf(): SavingState {
    if (mutation.data && saved.current === now) return { kind: 'saved', fitting: mutation.data };
    if (givenUp) return { kind: 'given-up' };
    if (mutation.isPending) return { kind: mutation.failureCount > 0 ? 'waiting' : 'saving' };
    if (mutation.isError) return { kind: 'refused', message: mutation.error.message };
    return { kind: 'unsaved' };
  }
}
