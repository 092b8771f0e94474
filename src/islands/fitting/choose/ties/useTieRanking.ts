import { proxy } from 'comlink';
import { startTransition, useDeferredValue, useEffect, useMemo, useState } from 'react';
import type { TieRecord } from '../../../../contract/records/records.ts';
import type { Outfit } from '../../../../core/wardrobe/judgeTie.ts';
import { bestTiesFirst, type RankedTie } from '../../../../core/wardrobe/rankTies.ts';
import { useTiesWorker } from '../useTiesWorker.ts';

export interface TieRanking {
  /** Best first; grows while the ties are being judged. Until a new outfit's first ties are judged, the old ranking stands. */
  readonly ranked: readonly RankedTie[];
  /** How many ties were judged for this outfit. */
  readonly judged: number;
  readonly state: 'judging' | 'done' | 'stopped';
  readonly stop: () => void;
  readonly again: () => void;
}

interface Judged {
  /** Which asking it answers. */
  readonly asking: object | undefined;
  readonly ties: readonly RankedTie[];
  readonly end: 'done' | 'stopped' | undefined;
}

/** Judges all the ties in a worker whenever the outfit or the ties change. */
export function useTieRanking(outfit: Outfit | undefined, ties: readonly TieRecord[]): TieRanking {
  const worker = useTiesWorker();
  const [round, setRound] = useState(0);
  const asking = useMemo(() => ({ outfit, ties, round }), [outfit, ties, round]);
  const [judged, setJudged] = useState<Judged>({ asking: undefined, ties: [], end: undefined });

  useEffect(() => {
    if (asking.outfit === undefined) return;
    let current = true;
    // Transitions, so that drawing gives way to the hand.
    const tell = (change: (before: Judged) => Judged) => {
      if (current) startTransition(() => setJudged(change));
    };
    // What was judged for the outfit before goes when the first of this one comes, or its end.
    const soFar = (before: Judged) => (before.asking === asking ? before.ties : []);
    const onBatch = proxy((batch: readonly RankedTie[]) =>
      tell((before) => ({ asking, ties: [...soFar(before), ...batch], end: undefined })),
    );
    void worker.current
      ?.judge(asking.outfit, asking.ties, onBatch)
      .then((finished) => tell((before) => ({ asking, ties: soFar(before), end: finished ? 'done' : 'stopped' })));
    return () => {
      current = false;
    };
  }, [asking, worker]);

  const drawn = useDeferredValue(judged.ties);
  const ranked = useMemo(() => bestTiesFirst(drawn), [drawn]);
  const isCurrent = judged.asking === asking;
  return {
    ranked,
    judged: isCurrent ? judged.ties.length : 0,
    state: (isCurrent ? judged.end : undefined) ?? 'judging',
    stop: () => void worker.current?.stop(),
    again: () => setRound((before) => before + 1),
  };
}
