import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answerKeys } from '../../../contract/answerKeys.ts';
import type { TyingRecord } from '../../../contract/records/records.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { keepRecord, tyingOfQuery, unsentRecord } from '../../wire/queries.ts';
import type { Saving } from '../useSaving.ts';
import { type Tied, tyingFrom } from './tyingFrom.ts';

export interface Checking {
  /** What is on record of this fitting already. */
  readonly kept: TyingRecord | null | undefined;
  readonly busy: boolean;
  /** The records can't be reached; it goes on trying. */
  readonly waiting: boolean;
  readonly refused: string | undefined;
  readonly keep: (tipOffMm: number) => void;
}

/** Saves the fitting where it is not saved yet, and with it how it came out. Both can be sent again: neither is made twice. */
export function useChecking(tied: Tied, title: string, saving: Saving, hindrance: string | undefined): Checking {
  const { values, question, studio, units, opened, untouched, asSaved: fitting } = useAsked();
  const queries = useQueryClient();
  const onRecord = useQuery({ ...tyingOfQuery(fitting?.id ?? ''), enabled: fitting !== undefined });
  const [justKept, setJustKept] = useState<TyingRecord>();
  const mutation = useMutation({
    mutationFn: async (tipOffMm: number) => {
      const fittingId = fitting?.id ?? saving.idOf(values, tied.plan.moves);
      const tying = tyingFrom(values, tied, tipOffMm, {
        fittingId,
        label: `${title}, ${values.tie.label}, ${values.client.label}`.slice(0, 120),
        personId: opened && untouched ? opened.personId : (studio.person?.id ?? null),
        timeZone: studio.timeZone,
        at: fitting?.createdAt ?? new Date().toISOString(),
      });
      const before = onRecord.data ?? justKept;
      const record = before?.id === tying.id ? { ...tying, version: before.version } : tying;
      // What was seen is entered now: it waits behind its fitting, should this page not live to send it.
      if (!fitting) await saving.saveNow(values, question, tied.plan.moves, [unsentRecord('tyings', record, units)]);
      return keepRecord('tyings', record, units);
    },
    onSuccess: async (record) => {
      setJustKept(record);
      queries.setQueryData(tyingOfQuery(record.id).queryKey, record);
      await Promise.all([
        queries.invalidateQueries({ queryKey: answerKeys.allFittings() }),
        queries.invalidateQueries({ queryKey: answerKeys.fitBook() }),
        queries.invalidateQueries({ queryKey: answerKeys.wardrobes() }),
      ]);
    },
  });
  const isThis = fitting !== undefined && justKept?.id === fitting.id;
  return {
    kept: fitting ? (isThis ? justKept : onRecord.data) : undefined,
    busy: mutation.isPending,
    waiting: mutation.isPending && mutation.failureCount > 0,
    refused: mutation.isError ? mutation.error.message : undefined,
    keep: (tipOffMm) => {
      if (!hindrance || fitting) mutation.mutate(tipOffMm);
    },
  };
}
