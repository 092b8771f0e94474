import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import sirv from 'sirv';
import { answerPlan } from './planning.ts';
import { onlyForHosts, onlyFromHere, onlyKnownWays, problem } from './refusals.ts';

export interface ShellOptions {
  /** Renders pages and answers endpoints. */
  readonly handler: RequestHandler;
  /** Where the files for browsers stand, beside their compressed twins. */
  readonly filesIn: string;
  /** The host names it answers to. */
  readonly hosts: readonly string[];
  /** As many requests as one address may make in a minute. */
  readonly mostAMinute: number;
  /** Measures how requests are answered, where anybody asks for that. */
  readonly measured?: RequestHandler | undefined;
  /** Tells open pages what changes. */
  readonly changes?: RequestHandler;
  /** Aborted once no more requests should be sent here. */
  readonly closing?: AbortSignal;
}

/** Pages bring a policy of their own, with the hashes of their few scripts; workers have this one, and run what keeps cloth off cloth, compiled ahead. */
const policy = {
  'default-src': ["'self'"],
  'script-src': ["'self'", "'wasm-unsafe-eval'"],
  'img-src': ["'self'", 'blob:', 'data:'],
  'style-src': ["'self'"],
  'style-src-attr': ["'unsafe-inline'"],
  'object-src': ["'none'"],
  'base-uri': ["'none'"],
  'frame-ancestors': ["'none'"],
  'form-action': ["'self'"],
};

/** What stands in front of the pages: who may ask and how often, safe headers, compressed answers, files. */
export function shellFor({ handler, filesIn, hosts, mostAMinute, measured, changes, closing }: ShellOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('etag', false);
  if (measured) app.use(measured);
  // It is served on loopback, or behind a server that speaks TLS and says so itself.
  app.use(helmet({ contentSecurityPolicy: false, strictTransportSecurity: false }));
  const withPolicy = helmet.contentSecurityPolicy({ useDefaults: false, directives: policy });
  // Answers of endpoints are data, in which nothing could run.
  app.use((request, response, next) => (request.path.startsWith('/api/') ? next() : withPolicy(request, response, next)));
  app.use(onlyForHosts(hosts));
  app.use(onlyFromHere);
  app.use(onlyKnownWays);
  app.use(
    sirv(filesIn, {
      brotli: true,
      gzip: true,
      etag: true,
      setHeaders: (response, path) => {
        // Files named by their content never change.
        response.setHeader('cache-control', path.startsWith('/_astro/') ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    }),
  );
  // Whoever watches over it asks often; neither question waits for the pages.
  app.get('/api/alive', (_request, response) => {
    response.json({ app: 'ropewalk', status: 'ok' });
  });
  app.get('/api/health', (_request, response, next) => {
    if (closing?.aborted) response.status(503).json({ app: 'ropewalk', status: 'stopping', records: 'not asked' });
    else next();
  });
  app.use(
    rateLimit({
      windowMs: 60_000,
      limit: mostAMinute,
      standardHeaders: 'draft-7',
      legacyHeaders: false,
      message: problem('too-many', 'Too many requests at once. Wait a minute and try again; nothing was changed.'),
    }),
  );
  app.use(compression());
  app.post('/api/plan', answerPlan);
  if (changes) app.get('/api/changes', changes);
  // The framework would fetch and resize any picture for anybody; there is none to resize here.
  app.use('/_image', (_request, response) => {
    response.status(404).json(problem('not-found', '/_image was not found.'));
  });
  // Without a next one to hand over to, what it has no page for is answered with the page for that.
  app.use((request, response) => handler(request, response, undefined as never));
  return app;
}
