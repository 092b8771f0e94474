import { once } from 'node:events';
import { createServer } from 'node:http';
import type { Socket } from 'node:net';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { RequestHandler } from 'express';
import { changesIn } from '../server/changes.ts';
import { closeAll } from '../server/closing.ts';
import { database } from '../server/database.ts';
import { log } from '../server/log.ts';
import { noteWritten } from '../server/reading.ts';
import { shellFor } from './app.ts';
import { answerChanges } from './changes.ts';
import { measured, serveMetrics } from './metrics.ts';

const loopback = '127.0.0.1';
/** As long as what is in flight may take once it is to stop: somewhat longer than any statement is waited for. */
const closingMs = 30_000;
const usualPort = 4310;
/** A studio's pages ask a few dozen times a minute; a program that goes wrong asks thousands. */
const usualMostAMinute = 6000;

/** It is bundled beside the pages it stands in front of. */
const pages = join(import.meta.dirname, 'entry.mjs');
const { handler } = (await import(pathToFileURL(pages).href)) as { handler: RequestHandler };

const host = process.env['HOST'] ?? loopback;
const port = Number(process.env['PORT'] ?? usualPort);
const named = (process.env['ROPEWALK_HOSTS'] ?? '').split(',').flatMap((name) => name.trim().toLowerCase() || []);

const metricsPort = process.env['ROPEWALK_METRICS_PORT'];
const changes = changesIn(database);
const closing = new AbortController();
// What another process wrote is not read from before either.
if (process.env['DATABASE_READ_URL']) changes.subscribe(() => void noteWritten());

const server = createServer(
  {
    // A body that trickles in is not waited for, nor headers that never end; a studio’s file may take its time.
    requestTimeout: 300_000,
    headersTimeout: 10_000,
    // Longer than a proxy in front keeps its own lines: closed from here one may just be about to be used.
    keepAliveTimeout: 65_000,
    maxHeaderSize: 16 * 1024,
  },
  shellFor({
    handler,
    filesIn: join(import.meta.dirname, '..', 'client'),
    hosts: [loopback, 'localhost', '[::1]', host.toLowerCase(), ...named],
    mostAMinute: Number(process.env['ROPEWALK_MOST_A_MINUTE'] ?? usualMostAMinute),
    measured: metricsPort ? measured : undefined,
    changes: answerChanges(changes, closing.signal),
    closing: closing.signal,
  }),
);

// Browsers open connections ahead of what they may ask: nothing is in flight on them, and nothing ever may be.
const unused = new Set<Socket>();
server.on('connection', (socket) => {
  unused.add(socket);
  socket.once('close', () => unused.delete(socket));
});
server.on('request', ({ socket }) => unused.delete(socket));

server.listen(port, host);
await once(server, 'listening');
const metrics = metricsPort ? serveMetrics(Number(metricsPort), loopback) : undefined;
log.info({ host, port }, 'Ropewalk is listening.');

// Whoever started it may be gone without a word: then nobody would start it again, nor stop it.
process.channel?.unref();
await Promise.race((['SIGTERM', 'SIGINT', 'disconnect'] as const).map((signal) => once(process, signal)));
// What is being answered is answered to its end; nothing new is taken.
const closed = once(server, 'close');
closing.abort();
server.close();
changes.close();
metrics?.close();
server.closeIdleConnections();
for (const socket of unused) socket.destroy();
// A request that nothing comes of is not waited for without end.
const late = setTimeout(() => server.closeAllConnections(), closingMs);
await closed;
clearTimeout(late);
await closeAll();
