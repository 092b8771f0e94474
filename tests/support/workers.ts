import { MessageChannel } from 'node:worker_threads';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';

/** Lets every worker that is started from now on be answered by `answers`, in this thread. */
export function answerWorkers(answers: object): void {
  class Answered {
    private readonly ends = new MessageChannel();
    constructor() {
      expose(answers, nodeEndpoint(this.ends.port2));
      const { addEventListener, removeEventListener, postMessage } = nodeEndpoint(this.ends.port1) as unknown as Answered;
      Object.assign(this, { addEventListener, removeEventListener, postMessage });
      this.ends.port1.start();
      this.ends.port2.start();
    }
    declare addEventListener: unknown;
    declare removeEventListener: unknown;
    declare postMessage: unknown;
    terminate(): void {
      this.ends.port1.close();
    }
  }
  Object.assign(globalThis, { Worker: Answered });
}
