import { createServer, type Server } from 'node:http';
import type { RequestHandler } from 'express';
import { collectDefaultMetrics, Histogram, register } from 'prom-client';

const answered = new Histogram({
  name: 'ropewalk_http_request_duration_seconds',
  help: 'How long requests took to be answered.',
  labelNames: ['method', 'route', 'status'],
  buckets: [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10, 60],
});

/** Measures every request; told by its kind only, since addresses hold names and identifiers. */
export const measured: RequestHandler = (request, response, next) => {
  const done = answered.startTimer({ method: request.method });
  response.once('close', () => done({ route: routeOf(request.path), status: String(response.statusCode) }));
  next();
};

/** The first words of an address that are ours, without anything that was put in. */
export function routeOf(path: string): string {
  const [, first = '', second = ''] = path.split('/');
  if (first === '_astro') return '/_astro';
  const word = /^[a-z-]{1,20}$/;
  if (first === 'api') return word.test(second) ? `/api/${second}` : '/api';
  return word.test(first) || first === '' ? `/${first}` : 'other';
}

/**
 * Serves what this process is at, in the Prometheus text format: its own state, and how requests were answered. On a port of
 * its own: it is for whoever runs it, not for whoever uses it.
 */
export function serveMetrics(port: number, host: string): Server {
  collectDefaultMetrics({ prefix: 'ropewalk_' });
  return createServer((_request, response) => {
    register.metrics().then(
      (text) => response.writeHead(200, { 'content-type': register.contentType }).end(text),
      () => response.writeHead(500).end(),
    );
  }).listen(port, host);
}
