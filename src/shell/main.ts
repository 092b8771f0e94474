import { once } from 'node:events';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { RequestHandler } from 'express';
import { closeAll } from '../server/closing.ts';
import { log } from '../server/log.ts';
import { shellFor } from './app.ts';

const loopback = '127.0.0.1';
const usualPort = 4310;
/** A studio's pages ask a few dozen times a minute; a program that goes wrong asks thousands. */
const usualMostAMinute = 6000;

const built = join(import.meta.dirname, '..', '..', 'dist');
const { handler } = (await import(pathToFileURL(join(built, 'server', 'entry.mjs')).href)) as { handler: RequestHandler };

const host = process.env['HOST'] ?? loopback;
const port = Number(process.env['PORT'] ?? usualPort);
const named = (process.env['ROPEWALK_HOSTS'] ?? '').split(',').flatMap((name) => name.trim().toLowerCase() || []);

const server = createServer(
  {
    // A body that trickles in is not waited for, nor headers that never end.
    requestTimeout: 60_000,
    headersTimeout: 10_000,
    keepAliveTimeout: 5000,
    maxHeaderSize: 16 * 1024,
  },
  shellFor({
    handler,
    filesIn: join(built, 'client'),
    hosts: [loopback, 'localhost', '[::1]', host.toLowerCase(), ...named],
    mostAMinute: Number(process.env['ROPEWALK_MOST_A_MINUTE'] ?? usualMostAMinute),
  }),
);

server.listen(port, host);
await once(server, 'listening');
log.info({ host, port }, 'Ropewalk is listening.');

await Promise.race((['SIGTERM', 'SIGINT'] as const).map((signal) => once(process, signal)));
// What is being answered is answered to its end; nothing new is taken.
const closed = once(server, 'close');
server.close();
server.closeIdleConnections();
await closed;
await closeAll();
