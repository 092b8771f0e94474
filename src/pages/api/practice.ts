import { studioEndpoint } from '../../server/http/endpoint.ts';
import { practice } from '../../server/practice.ts';

/** Everyone who learns, with what they rehearsed. */
export const GET = studioEndpoint(({ sql, studio }) => practice(sql, studio.id));
