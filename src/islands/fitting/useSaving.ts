import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { answerKeys } from '../../contract/answerKeys.ts';
import type { Fitting, FittingDraft } from '../../contract/fitting.ts';
import type { PlanQuestion } from '../../core/index.ts';
import { notOf, type SavedHere, type SavedTyings } from '../atHand/savedHere.ts';
import { type AtHand, isSameFitting } from '../atHand/values.ts';
import { saveFitting } from '../wire/queries.ts';

export type SavingState =
  | { readonly kind: 'unsaved' }
  | { readonly kind: 'saving' }
  /** The records can't be reached; it goes on trying. */
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saved'; readonly fitting: Fitting }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'given-up' };

export interface Saving {
  readonly state: SavingState;
  readonly save: (values: AtHand, question: PlanQuestion, knot: string) => void;
  /** The same, and waits until it is saved. */
  readonly saveNow: (values: AtHand, question: PlanQuestion, knot: string) => Promise<Fitting>;
  readonly giveUp: () => void;
}

/**
 * Saves fittings. While the records are out of reach it keeps trying, and says so; each
 * fitting has its own id, so a save that got through unnoticed is not made twice.
 */
export function useSaving(now: AtHand, savedHere: SavedHere, opened?: SavedTyings): Saving {
  const queries = useQueryClient();
  const attempt = useRef<{ readonly values: AtHand; readonly knot: string; readonly id: string } | undefined>(undefined);
  // Drafts that are no longer to be tried; a try that waits for its turn looks here first.
  const stopped = useRef(new Set<string>());
  const [givenUp, setGivenUp] = useState(false);
  const mutation = useMutation({
    mutationFn: async (draft: FittingDraft) => {
      if (stopped.current.has(draft.id)) throw new Error('Stopped before it was tried again.');
      return saveFitting(draft);
    },
    onSuccess: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: answerKeys.allFittings() }),
        queries.invalidateQueries({ queryKey: answerKeys.wardrobes() }),
      ]),
  });

  const saveNow: Saving['saveNow'] = async (values, question, knot) => {
    const { current } = attempt;
    if (!current || !isSameFitting(current.values, values) || current.knot !== knot)
      attempt.current = { values, knot, id: crypto.randomUUID() };
    const id = attempt.current?.id ?? crypto.randomUUID();
    stopped.current.delete(id);
    setGivenUp(false);
    const fitting = await mutation.mutateAsync({
      id,
      clientId: values.client.id,
      shirtId: values.shirt.id,
      jacketId: values.jacket?.id ?? null,
      tieId: values.tie.id,
      clientName: values.client.label,
      shirtLabel: values.shirt.label,
      jacketLabel: values.jacket?.label ?? null,
      tieLabel: values.tie.label,
      cloth: values.colours,
      question,
      knot,
      note: values.note,
      // What went with another fitting is learnt from already.
      attempts: notOf([...savedHere.all, ...(opened ? [opened] : [])], values.attempts),
    });
    savedHere.note(fitting, values);
    return fitting;
  };

  // What became of it stands in the state.
  const save: Saving['save'] = (...given) => void saveNow(...given).catch(() => undefined);

  const giveUp = () => {
    if (attempt.current) stopped.current.add(attempt.current.id);
    setGivenUp(true);
  };

  return { state: stateOf(), save, saveNow, giveUp };

  function stateOf(): SavingState {
    const { last } = savedHere;
    if (last && isSameFitting(last.values, now)) return { kind: 'saved', fitting: last.fitting };
    if (givenUp) return { kind: 'given-up' };
    if (mutation.isPending) return { kind: mutation.failureCount > 0 ? 'waiting' : 'saving' };
    if (mutation.isError) return { kind: 'refused', message: mutation.error.message };
    return { kind: 'unsaved' };
  }
}
