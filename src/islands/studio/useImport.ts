import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { ImportReport } from '../../contract/exchange/report.ts';
import { importFile } from '../wire/queries.ts';
import { askedOf, type ChosenFile, onlyLines } from './chosenFile.ts';

/** What an import is at: the file as it stands, what it would do, and what was done. */
export interface Importing {
  readonly chosen: ChosenFile | undefined;
  readonly report: ImportReport | undefined;
  /** Whether the file was changed since it was looked at. */
  readonly isStale: boolean;
  readonly state: 'still' | 'looking' | 'doing';
  readonly outage: boolean;
  readonly error: Error | null;
  /** Says what it would do, once it is read. */
  readonly look: (chosen: ChosenFile | Promise<ChosenFile>) => void;
  /** Takes a mended file, to be looked at when it is asked for. */
  readonly mend: (chosen: ChosenFile) => void;
  /** Imports all of it, or all but the lines with errors, which stay to be mended. */
  readonly apply: () => void;
}

interface Sent {
  readonly chosen: ChosenFile;
  readonly but: ReadonlySet<number>;
  /** Told when it is to be done: tried again because an answer was lost, it is done once. */
  readonly key?: string;
}

async function send({ chosen, but, key }: Sent): Promise<ImportReport> {
  const { content, told } = askedOf(chosen, but);
  return told(await importFile(chosen.as, content, key));
}

export function useImport(): Importing {
  const [chosen, setChosen] = useState<ChosenFile>();
  const [isStale, setStale] = useState(false);
  const latest = useRef<ChosenFile | Promise<ChosenFile>>(undefined);
  const looking = useMutation({
    mutationFn: async (reading: ChosenFile | Promise<ChosenFile>) => {
      const read = await reading;
      // Another one may have been chosen meanwhile.
      if (latest.current === reading) setChosen(read);
      return send({ chosen: read, but: new Set() });
    },
  });
  const doing = useMutation({ mutationFn: send });
  const withErrors = (looking.data?.lines ?? []).filter(({ action }) => action === 'fault');
  const faulty = new Set(withErrors.map(({ line }) => line));
  // What was left out of an import is still told, to be mended.
  const left = looking.data?.counts.fault ?? 0;
  const report = doing.data
    ? {
        ...doing.data,
        lines: [...doing.data.lines, ...withErrors],
        counts: { ...doing.data.counts, fault: doing.data.counts.fault + left },
      }
    : looking.data;
  return {
    chosen,
    report,
    isStale,
    state: looking.isPending ? 'looking' : doing.isPending ? 'doing' : 'still',
    outage: (looking.isPending && looking.failureCount > 0) || (doing.isPending && doing.failureCount > 0),
    error: looking.error ?? doing.error,
    look: (next) => {
      setStale(false);
      doing.reset();
      latest.current = next;
      looking.mutate(next);
    },
    mend: (next) => {
      setChosen(next);
      setStale(true);
    },
    apply: () => {
      if (!chosen) return;
      doing.mutate(
        { chosen, but: faulty, key: crypto.randomUUID() },
        // What is left are the lines with errors.
        { onSuccess: ({ applied }) => applied && faulty.size > 0 && setChosen(onlyLines(chosen, faulty)) },
      );
    },
  };
}
