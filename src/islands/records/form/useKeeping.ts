import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { changedInBetween } from '../../../contract/problem.ts';
import type { Kind, RecordOf } from '../../../contract/records/records.ts';
import type { Fault } from '../../../core/measures/faults.ts';
import type { LengthUnit } from '../../../core/units/length.ts';
import { Refusal } from '../../wire/http.ts';
import { keepRecord } from '../../wire/queries.ts';
import type { Draft } from './drafts.ts';

export interface Keeping<K extends Kind> {
  readonly state: 'resting' | 'keeping' | 'waiting' | 'kept';
  readonly message: string | undefined;
  readonly faults: readonly Fault[];
  /** The record as somebody else kept it meanwhile. */
  readonly theirs: RecordOf[K] | undefined;
  /** `draft` is what stands in its form meanwhile, where there is one. */
  readonly keep: (record: RecordOf[K], draft?: Draft) => void;
  readonly settle: () => void;
}

/** Saves a record: waits an outage out, tells refusals, and hands over what somebody else kept meanwhile. */
export function useKeeping<K extends Kind>(kind: K, units: LengthUnit, onKept: (record: RecordOf[K]) => void): Keeping<K> {
  const queries = useQueryClient();
  const [theirs, setTheirs] = useState<RecordOf[K]>();
  const mutation = useMutation({
    mutationFn: ({ record, draft }: { readonly record: RecordOf[K]; readonly draft?: Draft | undefined }) =>
      keepRecord(kind, record, units, draft),
    onSuccess: async (kept) => {
      setTheirs(undefined);
      onKept(kept);
      // Where a tie stands follows from what is noted of it.
      const touched = kind === 'cares' ? [[kind], ['ties'], ['wardrobe']] : [[kind], ['wardrobe']];
      await Promise.all(touched.map((queryKey) => queries.invalidateQueries({ queryKey })));
    },
    onError: (error) => {
      if (error instanceof Refusal && error.code === changedInBetween) setTheirs(error.current as RecordOf[K]);
    },
  });
  const refusal = mutation.error instanceof Refusal ? mutation.error : undefined;
  return {
    state: mutation.isPending ? (mutation.failureCount > 0 ? 'waiting' : 'keeping') : mutation.isSuccess ? 'kept' : 'resting',
    message: theirs ? undefined : mutation.error?.message,
    faults: refusal?.faults ?? [],
    theirs,
    keep: (record, draft) => mutation.mutate({ record, draft }),
    settle: () => {
      setTheirs(undefined);
      mutation.reset();
    },
  };
}
