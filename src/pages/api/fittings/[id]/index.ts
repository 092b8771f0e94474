import { findFitting } from '../../../../server/fittings.ts';
import { studioEndpoint } from '../../../../server/http/endpoint.ts';

/** One fitting, with the inputs and the answer it was saved with. */
export const GET = studioEndpoint(({ params, sql, studio }) => findFitting(sql, studio.id, params['id'] ?? ''));
