import { expose } from 'comlink';
import { type BuyingBrief, buyingBrief } from '../core/rack/buyingBrief.ts';
import type { ColouredTie, Outfit } from '../core/rack/judgeTie.ts';
import { judgeRack, type RankedTie } from '../core/rack/rankRack.ts';

/** Time between two reports, and between two looks at whether to stop. */
const reportEveryMs = 150;

let latest = 0;

const rackWorker = {
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
    for (const ranked of judgeRack(outfit, ties)) {
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

export type RackWorker = typeof rackWorker;

expose(rackWorker);
