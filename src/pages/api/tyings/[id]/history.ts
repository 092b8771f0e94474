import { studioEndpoint } from '../../../../server/http/endpoint.ts';
import { tyingHistory } from '../../../../server/tyings.ts';

/** What a tying was before each change, the latest first; of a deleted one its last state. */
export const GET = studioEndpoint(({ params, sql, studio }) => tyingHistory(sql, studio.id, params['id'] ?? ''));
