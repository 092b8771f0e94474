import { studioEndpoint } from '../../server/http/endpoint.ts';
import { practice } from '../../server/practice.ts';

/** Everyone who learns, or with `client` only that one, with what they rehearsed. */
export const GET = studioEndpoint(({ url, sql, studio }) => practice(sql, studio.id, url.searchParams.get('client') ?? undefined));
