import { createServer, type RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { shellFor } from '../../src/shell/app.ts';
import { loopback } from '../machine/ports.ts';

const filesIn = join(import.meta.dirname, '..', '..', 'dist', 'client');

/**
 * Run as a process of its own: it answers every request with the bytes its parent sends it, and tells the parent two
 * ports: of a server that does nothing else, and of the same endpoint behind what stands in front of ours.
 */
process.once('message', async (answer: string) => {
  const bytes = Buffer.from(answer);
  const bare: RequestListener = (request, response) => {
    const headers = { 'content-type': 'application/json; charset=utf-8', 'content-length': bytes.length };
    request.resume().on('end', () => response.writeHead(200, headers).end(bytes));
  };
  const behindShell = shellFor({ handler: bare, filesIn, hosts: [loopback], mostAMinute: Number.MAX_SAFE_INTEGER });
  process.send?.(await Promise.all([portOf(bare), portOf(behindShell)]));
});
process.once('disconnect', () => process.exit());

function portOf(listener: RequestListener): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer(listener);
    server.listen(0, loopback, () => resolve((server.address() as AddressInfo).port));
  });
}
