import { useEffect, useState } from 'react';
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
  readonly outfit: Outfit;
  readonly others: readonly Dressed[];
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
  useEffect(() => {
    let current = true;
    const search = async (worn: Outfit) => {
      const brief = await worker.current?.brief(worn);
      if (!current || !brief) return;
      setFound({ outfit: worn, others, brief, served: [] });
      for (const { key, title, outfit: other } of others) {
        const theirs = await worker.current?.brief(other);
        if (!current || !theirs) return;
        const one: ServedOutfit = { key, title, share: sharedWindow(brief, theirs) };
        setFound((before) => before && { ...before, served: [...before.served, one] });
      }
    };
    if (outfit) void search(outfit);
    return () => {
      current = false;
    };
  }, [outfit, others, worker]);
  return { brief: found?.brief, searching: found?.outfit !== outfit || found?.others !== others, served: found?.served ?? [] };
}
