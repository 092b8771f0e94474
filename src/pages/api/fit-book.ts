import { toldBook } from '../../server/fitBook/told.ts';
import { studioEndpoint } from '../../server/http/endpoint.ts';

/** What the studio’s tyings come to, and what was learnt from them. */
export const GET = studioEndpoint(({ sql, studio }) => toldBook(sql, studio.id));
