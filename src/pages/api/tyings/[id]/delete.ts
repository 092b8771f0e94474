import { studioEndpoint } from '../../../../server/http/endpoint.ts';
import { deleteTying } from '../../../../server/tyings.ts';

/** Deletes a tying; what it was stays in its history. Deleted again, nothing changes. */
export const POST = studioEndpoint(({ params, sql, studio }) => deleteTying(sql, studio.id, params['id'] ?? ''), { content: 'json' });
