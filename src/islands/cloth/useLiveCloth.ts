import { proxy, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { type SeenCloth, unpackCloth } from '../../core/cloth/compact.ts';
import type { TyingRequest } from '../../core/cloth/simulate.ts';
import type { ClothWorker } from '../../workers/cloth.worker.ts';

export type LiveCloth =
  | { readonly kind: 'resting' }
  | { readonly kind: 'tying'; readonly share: number; readonly attempt: number }
  | { readonly kind: 'tied'; readonly cloth: SeenCloth }
  | { readonly kind: 'refused' };

/** Ties one knot with one very tie, off the page's thread. What was tied for another question is forgotten. */
export function useLiveCloth(request: TyingRequest): { readonly live: LiveCloth; readonly start: () => void; readonly stop: () => void } {
  const [live, setLive] = useState<LiveCloth>({ kind: 'resting' });
  const thread = useRef<Worker>(undefined);
  const end = () => {
    thread.current?.terminate();
    thread.current = undefined;
  };
  const asked = JSON.stringify(request);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another question ends what was asked before.
  useEffect(() => {
    setLive({ kind: 'resting' });
    return end;
  }, [asked]);
  return {
    live,
    start: () => {
      end();
      const worker = new Worker(new URL('../../workers/cloth.worker.ts', import.meta.url), { type: 'module' });
      thread.current = worker;
      setLive({ kind: 'tying', share: 0, attempt: 0 });
      const remote = wrap<ClothWorker>(worker) as unknown as ClothWorker;
      const onProgress = proxy((share: number, attempt: number) => {
        if (thread.current === worker) setLive({ kind: 'tying', share, attempt });
      });
      remote.tie(request, onProgress).then(
        (bytes) => {
          if (thread.current !== worker) return;
          end();
          setLive(bytes ? { kind: 'tied', cloth: unpackCloth(bytes) } : { kind: 'refused' });
        },
        () => {
          if (thread.current === worker) setLive({ kind: 'refused' });
        },
      );
    },
    stop: () => {
      end();
      setLive({ kind: 'resting' });
    },
  };
}
