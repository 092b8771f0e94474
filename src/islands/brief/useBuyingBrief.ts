import { useEffect, useState } from 'react';
import type { BuyingBrief } from '../../core/rack/buyingBrief.ts';
import type { Outfit } from '../../core/rack/judgeTie.ts';
import { useRackWorker } from '../rack/useRackWorker.ts';

/** The brief for an outfit, searched in the worker; the one before stands until the next is there. */
export function useBuyingBrief(outfit: Outfit | undefined): { readonly brief: BuyingBrief | undefined; readonly searching: boolean } {
  const worker = useRackWorker();
  const [found, setFound] = useState<{ readonly asked: string; readonly brief: BuyingBrief }>();
  const asked = JSON.stringify(outfit ?? null);
  useEffect(() => {
    let current = true;
    const wanted = JSON.parse(asked) as Outfit | null;
    if (wanted) {
      void worker.current?.brief(wanted).then((brief) => {
        if (current) setFound({ asked, brief });
      });
    }
    return () => {
      current = false;
    };
  }, [asked, worker]);
  return { brief: found?.brief, searching: found?.asked !== asked };
}
