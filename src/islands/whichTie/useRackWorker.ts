import { type Remote, wrap } from 'comlink';
import { useEffect, useRef } from 'react';
import type { RackWorker } from '../../workers/rack.worker.ts';

/** The worker that judges ties, alive as long as the view. Set by the time effects run. */
export function useRackWorker() {
  const worker = useRef<Remote<RackWorker> | undefined>(undefined);
  useEffect(() => {
    const raw = new Worker(new URL('../../workers/rack.worker.ts', import.meta.url), { type: 'module' });
    worker.current = wrap<RackWorker>(raw);
    return () => raw.terminate();
  }, []);
  return worker;
}
