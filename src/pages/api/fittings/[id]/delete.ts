import { deleteFitting } from '../../../../server/fittings.ts';
import { studioEndpoint } from '../../../../server/http/endpoint.ts';

/** Deletes a fitting and what became of it; of that the history stays. Deleted again, nothing changes. */
export const POST = studioEndpoint(({ params, sql, studio }) => deleteFitting(sql, studio.id, params['id'] ?? ''), { content: 'json' });
