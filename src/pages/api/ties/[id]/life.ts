import { studioEndpoint } from '../../../../server/http/endpoint.ts';
import { tieLife } from '../../../../server/tieLife.ts';

/** What became of a tie: where it stands today, what was noted of it, what was learnt of it. */
export const GET = studioEndpoint(({ params, sql, studio }) => tieLife({ sql, studio }, params['id'] ?? ''));
