import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answerKeys } from '../../../contract/answerKeys.ts';
import type { TyingRecord } from '../../../contract/records/records.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { keepRecord, tyingOfQuery } from '../../wire/queries.ts';
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
      const of = fitting ?? (await saving.saveNow(values, question, tied.plan.moves));
      const record = tyingFrom(values, tied, tipOffMm, {
        fittingId: of.id,
        label: `${title}, ${values.tie.label}, ${values.client.label}`.slice(0, 120),
        personId: opened && untouched ? opened.personId : (studio.person?.id ?? null),
        timeZone: studio.timeZone,
        at: of.createdAt,
      });
      const before = onRecord.data ?? justKept;
      return keepRecord('tyings', before?.id === record.id ? { ...record, version: before.version } : record, units);
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
