import { expose } from 'comlink';
import type { PlanQuestion } from '../core/index.ts';
import { type HowSure, howSure } from '../core/plan/howSure.ts';

let latest = 0;

const sureWorker = {
  /** Tries the samples one after the other, telling how many are done. Answers nothing where a later call, or `stop`, ended it. */
  async ask(
    question: PlanQuestion,
    samples: number,
    seed: number,
    onProgress: (done: number) => void | Promise<void>,
  ): Promise<HowSure | undefined> {
    latest += 1;
    const mine = latest;
    const trying = howSure(question, samples, seed, Math.ceil(samples / 20));
    for (let step = trying.next(); ; step = trying.next()) {
      if (step.done) return step.value;
      // Waiting until it was taken lets `stop` be heard.
      await onProgress(step.value);
      if (mine !== latest) return undefined;
    }
  },
  stop(): void {
    latest += 1;
  },
};

export type SureWorker = typeof sureWorker;

expose(sureWorker);
