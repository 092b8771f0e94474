import { defineMiddleware } from 'astro:middleware';

const policyHeader = 'content-security-policy';

/** Drawings are placed by style attributes, which the pages' policy names no hashes for; scripts stay hashed. */
export const onRequest = defineMiddleware(async (_context, next) => {
  const response = await next();
  // Pages hold a studio's records: they are asked for anew each time.
  if (response.headers.get('content-type')?.startsWith('text/html')) response.headers.set('cache-control', 'private, no-cache');
  const policy = response.headers.get(policyHeader);
  if (policy) response.headers.set(policyHeader, `${policy} style-src-attr 'unsafe-inline';`);
  return response;
});
