import { after } from 'node:test';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';

const opened: MessagePort[] = [];

/** What is handed over to a worker goes through channels of its own; all of them end with the tests. */
Object.assign(globalThis, {
  MessageChannel: class extends MessageChannel {
    constructor() {
      super();
      opened.push(this.port1, this.port2);
    }
  },
});
after(() => {
  for (const port of opened) port.close();
});

/** Lets every worker that is started from now on be answered by `answers`, in this thread. */
export function answerWorkers(answers: object): void {
  class Answered {
    private readonly ends = new MessageChannel();
    constructor() {
      expose(answers, nodeEndpoint(this.ends.port2));
      const { addEventListener, removeEventListener, postMessage } = nodeEndpoint(this.ends.port1) as unknown as Answered;
      Object.assign(this, { addEventListener, removeEventListener, postMessage });
      for (const port of [this.ends.port1, this.ends.port2]) {
        port.start();
        opened.push(port);
      }
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
