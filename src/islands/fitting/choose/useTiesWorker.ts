import { type Remote, wrap } from 'comlink';
import { useEffect, useRef } from 'react';
import type { TiesWorker } from '../../../workers/ties.worker.ts';

/** The worker that judges ties, alive as long as the view. Set by the time effects run. */
export function useTiesWorker() {
  const worker = useRef<Remote<TiesWorker> | undefined>(undefined);
  useEffect(() => {
    const raw = new Worker(new URL('../../../workers/ties.worker.ts', import.meta.url), { type: 'module' });
    worker.current = wrap<TiesWorker>(raw);
    return () => raw.terminate();
  }, []);
  return worker;
}
