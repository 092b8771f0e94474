import { setImmediate } from 'node:timers/promises';

/** Goes through long work step by step; whatever else waits to be answered comes between two of them. */
export async function inSteps<T>(work: Iterator<unknown, T>): Promise<T> {
  let step = work.next();
  while (!step.done) {
    await setImmediate();
    step = work.next();
  }
  return step.value;
}
