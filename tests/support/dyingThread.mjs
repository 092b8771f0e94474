import { parentPort } from 'node:worker_threads';

// A thread that ends as soon as it is asked anything.
parentPort.on('message', () => process.exit(1));
