import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answerKeys } from '../../contract/answerKeys.ts';
import type { Fitting, FittingDraft } from '../../contract/fitting.ts';
import type { PlanQuestion } from '../../core/index.ts';
import { notOf, type SavedHere, type SavedTyings } from '../atHand/savedHere.ts';
import { type AtHand, isSameFitting } from '../atHand/values.ts';
import { saveFitting, unsentFittingKey } from '../wire/queries.ts';
import { giveUpUnsent, type Unsent } from '../wire/unsent.ts';
import { pendingSave, savedNow, saveOf } from './pendingSave.ts';

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
  /** The same, and waits until it is saved; what is to be kept of it besides waits behind it. */
  readonly saveNow: (values: AtHand, question: PlanQuestion, knot: string, along?: readonly Unsent[]) => Promise<Fitting>;
  /** The id that this fitting is saved under, already before it is. */
  readonly idOf: (values: AtHand, knot: string) => string;
  readonly giveUp: () => void;
}

/**
 * Saves fittings. While the records are out of reach it keeps trying, and says so; each
 * fitting has its own id, so a save that got through unnoticed is not made twice.
 */
export function useSaving(now: AtHand, savedHere: SavedHere, opened?: SavedTyings): Saving {
  const queries = useQueryClient();
  // Drafts that are no longer to be tried; a try that waits for its turn looks here first.
  const [stopped] = useState(() => new Set<string>());
  const [givenUp, setGivenUp] = useState(false);
  const mutation = useMutation({
    mutationFn: async ({ draft, along }: { readonly draft: FittingDraft; readonly along: readonly Unsent[] }) => {
      if (stopped.has(draft.id)) throw new Error('Stopped before it was tried again.');
      return saveFitting(draft, along);
    },
    onSuccess: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: answerKeys.allFittings() }),
        queries.invalidateQueries({ queryKey: answerKeys.wardrobes() }),
      ]),
  });

  const idOf: Saving['idOf'] = (values, knot) => saveOf(values, knot).id;

  const saveNow: Saving['saveNow'] = async (values, question, knot, along = []) => {
    const id = idOf(values, knot);
    stopped.delete(id);
    setGivenUp(false);
    const draft: FittingDraft = {
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
    };
    const fitting = await mutation.mutateAsync({ draft, along });
    savedNow();
    savedHere.note(fitting, values);
    return fitting;
  };

  // What became of it stands in the state.
  const save: Saving['save'] = (...given) => void saveNow(...given).catch(() => undefined);

  const giveUp = () => {
    const pending = pendingSave();
    if (pending) {
      stopped.add(pending.id);
      giveUpUnsent(unsentFittingKey(pending.id));
    }
    setGivenUp(true);
  };

  return { state: stateOf(), save, saveNow, idOf, giveUp };

  function stateOf(): SavingState {
    const { last } = savedHere;
    if (last && isSameFitting(last.values, now)) return { kind: 'saved', fitting: last.fitting };
    if (givenUp) return { kind: 'given-up' };
    if (mutation.isPending) return { kind: mutation.failureCount > 0 ? 'waiting' : 'saving' };
    if (mutation.isError) return { kind: 'refused', message: mutation.error.message };
    return { kind: 'unsaved' };
  }
}
