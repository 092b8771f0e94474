import { database } from '../../../server/database.ts';
import { findFitting } from '../../../server/fittings.ts';
import { endpoint } from '../../../server/http/endpoint.ts';
import { theStudio } from '../../../server/studios.ts';

/** One fitting, with the inputs and the answer it was saved with. */
export const GET = endpoint(async ({ params }) => {
  const sql = database();
  return findFitting(sql, (await theStudio(sql)).id, params['id'] ?? '');
});
