import { proxy, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import { type SeenCloth, unpackCloth } from '../../core/cloth/mesh/compact.ts';
import type { TyingRequest } from '../../core/cloth/simulate.ts';
import type { ClothWorker } from '../../workers/cloth.worker.ts';
import { keepTied, keptTied } from './keptCloth.ts';

export type LiveCloth =
  | { readonly kind: 'tying'; readonly share: number; readonly attempt: number }
  | { readonly kind: 'tied'; readonly cloth: SeenCloth }
  /** It came out clean in no attempt. */
  | { readonly kind: 'refused' }
  /** This browser did not get through it. */
  | { readonly kind: 'failed' }
  | { readonly kind: 'stopped' };

/** Nothing more will come of it by itself. */
export function isOver({ kind }: LiveCloth): boolean {
  return kind === 'refused' || kind === 'failed';
}

const begun: LiveCloth = { kind: 'tying', share: 0, attempt: 0 };

/**
 * Ties one knot with one very tie, off the page's thread, as soon as it is asked. What was tied before is kept on the
 * device; another question ends the one before it.
 */
export function useLiveCloth(request: TyingRequest): {
  readonly live: LiveCloth;
  readonly again: () => void;
  readonly stop: () => void;
} {
  const asked = JSON.stringify(request);
  const [round, setRound] = useState(0);
  const [answer, setAnswer] = useState<{ readonly to: string; readonly live: LiveCloth }>();
  const live = answer?.to === asked ? answer.live : begun;
  const stopped = live.kind === 'stopped';
  // biome-ignore lint/correctness/useExhaustiveDependencies: asking again is another round of the same question.
  useEffect(() => {
    if (stopped) return;
    const tell = (next: LiveCloth) => setAnswer({ to: asked, live: next });
    let worker: Worker | undefined;
    let current = true;
    const tie = async () => {
      const kept = await keptTied(asked);
      if (!current) return;
      if (kept) return tell({ kind: 'tied', cloth: unpackCloth(kept) });
      worker = new Worker(new URL('../../workers/cloth.worker.ts', import.meta.url), { type: 'module' });
      const remote = wrap<ClothWorker>(worker) as unknown as ClothWorker;
      const onProgress = proxy((share: number, attempt: number) => {
        if (current) tell({ kind: 'tying', share, attempt });
      });
      const bytes = await remote.tie(JSON.parse(asked) as TyingRequest, onProgress);
      worker.terminate();
      if (bytes) await keepTied(asked, bytes);
      if (current) tell(bytes ? { kind: 'tied', cloth: unpackCloth(bytes) } : { kind: 'refused' });
    };
    tie().catch(() => {
      worker?.terminate();
      if (current) tell({ kind: 'failed' });
    });
    return () => {
      current = false;
      worker?.terminate();
    };
  }, [asked, round, stopped]);
  return {
    live,
    again: () => {
      setAnswer(undefined);
      setRound((before) => before + 1);
    },
    stop: () => setAnswer({ to: asked, live: { kind: 'stopped' } }),
  };
}
