import { studioEndpoint } from '../../../../server/http/endpoint.ts';
import { recordsById } from '../../../../server/records.ts';

/** How a fitting came out; `null` while nobody has said. */
export const GET = studioEndpoint(async ({ params, sql, studio }) => {
  const id = params['id'] ?? '';
  return (await recordsById(sql, studio.id, 'tyings', [id])).get(id.toLowerCase()) ?? null;
});
