import { checkFittingDraft } from '../../../contract/fitting.ts';
import { database } from '../../../server/database.ts';
import { listFittings, saveFitting } from '../../../server/fittings.ts';
import { readJson } from '../../../server/http/body.ts';
import { endpoint, json } from '../../../server/http/endpoint.ts';
import { invalid } from '../../../server/http/problem.ts';
import { theStudio } from '../../../server/studios.ts';

/** The latest fittings, newest first. */
export const GET = endpoint(async () => {
  const sql = database();
  return listFittings(sql, (await theStudio(sql)).id);
});

/** Keeps a fitting; the same id sent again is the same fitting. */
export const POST = endpoint(async ({ request }) => {
  const { value, faults } = checkFittingDraft(await readJson(request));
  if (faults) throw invalid(faults);
  const sql = database();
  return json(await saveFitting(sql, (await theStudio(sql)).id, value), 201);
});
