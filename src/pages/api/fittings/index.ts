import { checkFittingDraft } from '../../../contract/fitting.ts';
import { listFittings, saveFitting } from '../../../server/fittings.ts';
import { json, studioEndpoint } from '../../../server/http/endpoint.ts';
import { fittingsWanted } from '../../../server/http/fittingsQuery.ts';
import { invalid } from '../../../server/http/problem.ts';

/** A page of fittings with what became of them: `find`, `only`, `by`, `down`, `from`. */
export const GET = studioEndpoint(({ sql, studio, url }) => listFittings(sql, studio.id, fittingsWanted(url.searchParams)));

/** Keeps a fitting, with who was dressing; the same id sent again is the same fitting. */
export const POST = studioEndpoint(
  async ({ body, sql, studio, person }) => {
    const { value, faults } = checkFittingDraft(body);
    if (faults) throw invalid(faults);
    return json(await saveFitting(sql, studio.id, value, person), 201);
  },
  { content: 'json' },
);
