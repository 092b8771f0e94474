import { useEffect, useMemo, useState } from 'react';
import type { BuyingBrief } from '../../../../core/wardrobe/buyingBrief.ts';
import type { Outfit } from '../../../../core/wardrobe/judgeTie.ts';
import { sharedWindow } from '../../../../core/wardrobe/sharedWindow.ts';
import { useTiesWorker } from '../useTiesWorker.ts';
import type { Dressed } from './clientsOutfits.ts';

export interface ServedOutfit {
  readonly key: string;
  readonly title: string;
  /** Share of the window that serves this outfit too, 0 to 1. */
  readonly share: number;
}

export interface FoundBrief {
  readonly brief: BuyingBrief | undefined;
  readonly searching: boolean;
  /** The client's other outfits, as far as they were searched. */
  readonly served: readonly ServedOutfit[];
}

interface Found {
  readonly asked: string;
  readonly brief: BuyingBrief;
  readonly served: readonly ServedOutfit[];
}

/**
 * The brief for an outfit, searched in the worker, then how far it serves the client's others;
 * the brief before stands until the next is there.
 */
export function useBuyingBrief(outfit: Outfit | undefined, others: readonly Dressed[]): FoundBrief {
  const worker = useTiesWorker();
  const [found, setFound] = useState<Found>();
  const asked = JSON.stringify([outfit ?? null, others]);
  const [wanted, rest] = useMemo(() => JSON.parse(asked) as [Outfit | null, Dressed[]], [asked]);
  useEffect(() => {
    let current = true;
    const search = async (outfitAtHand: Outfit) => {
      const brief = await worker.current?.brief(outfitAtHand);
      if (!current || !brief) return;
      setFound({ asked, brief, served: [] });
      for (const { key, title, outfit: other } of rest) {
        const theirs = await worker.current?.brief(other);
        if (!current || !theirs) return;
        const one: ServedOutfit = { key, title, share: sharedWindow(brief, theirs) };
        setFound((before) => (before?.asked === asked ? { ...before, served: [...before.served, one] } : before));
      }
    };
    if (wanted) void search(wanted);
    return () => {
      current = false;
    };
  }, [asked, wanted, rest, worker]);
  return { brief: found?.brief, searching: found?.asked !== asked, served: found?.served ?? [] };
}
