declare module 'comlink/dist/esm/node-adapter.mjs' {
  import type { MessagePort } from 'node:worker_threads';
  import type { Endpoint } from 'comlink';

  /** Lets a port of Node.js be spoken through as a browser's. */
  export default function nodeEndpoint(port: MessagePort): Endpoint;
}
