import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { loopback } from '../machine/ports.ts';

/** Run as a process of its own: it answers every request with the bytes its parent sends it, and tells the parent its port. */
process.once('message', (answer: string) => {
  const server = createServer((request, response) => {
    request.resume().on('end', () => response.writeHead(200, { 'content-type': 'application/json' }).end(answer));
  });
  server.listen(0, loopback, () => process.send?.((server.address() as AddressInfo).port));
});
process.once('disconnect', () => process.exit());
