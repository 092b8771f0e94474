import { expose } from 'comlink';
import { type BuyingBrief, buyingBrief } from '../core/wardrobe/buyingBrief.ts';
import type { ColouredTie, Outfit } from '../core/wardrobe/judgeTie.ts';
import { judgeTies, type RankedTie } from '../core/wardrobe/rankTies.ts';

/** Time between two reports, and between two looks at whether to stop. */
const reportEveryMs = 150;

let latest = 0;

const tiesWorker = {
  /**
   * Judges the ties batch by batch. Answers whether it got to the end: a later call, or
   * `stop`, ends it.
   */
  async judge(
    outfit: Outfit,
    ties: readonly (ColouredTie & { readonly id: string })[],
    onBatch: (batch: readonly RankedTie[]) => void | Promise<void>,
  ): Promise<boolean> {
    latest += 1;
    const mine = latest;
    let batch: RankedTie[] = [];
    let reportedAt = performance.now();
    for (const ranked of judgeTies(outfit, ties)) {
      batch.push(ranked);
      if (performance.now() - reportedAt < reportEveryMs) continue;
      // Waiting until it was taken lets `stop` be heard, and keeps reports ahead of the answer, which travels another way.
      await onBatch(batch);
      batch = [];
      if (mine !== latest) return false;
      reportedAt = performance.now();
    }
    await onBatch(batch);
    return true;
  },
  brief(outfit: Outfit): BuyingBrief {
    return buyingBrief(outfit);
  },
  stop(): void {
    latest += 1;
  },
};

export type TiesWorker = typeof tiesWorker;

expose(tiesWorker);
