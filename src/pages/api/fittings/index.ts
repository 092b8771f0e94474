import { checkFittingDraft } from '../../../contract/fitting.ts';
import { listFittings, saveFitting } from '../../../server/fittings.ts';
import { json, studioEndpoint } from '../../../server/http/endpoint.ts';
import { invalid } from '../../../server/http/problem.ts';

/** The latest fittings, newest first. */
export const GET = studioEndpoint(({ sql, studio }) => listFittings(sql, studio.id));

/** Keeps a fitting, with who was dressing; the same id sent again is the same fitting. */
export const POST = studioEndpoint(
  async ({ body, sql, studio, person }) => {
    const { value, faults } = checkFittingDraft(body);
    if (faults) throw invalid(faults);
    return json(await saveFitting(sql, studio.id, value, person), 201);
  },
  { content: 'json' },
);
