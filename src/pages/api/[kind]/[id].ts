import { checkRecord } from '../../../contract/records/checkRecord.ts';
import { database } from '../../../server/database.ts';
import { readJson } from '../../../server/http/body.ts';
import { endpoint } from '../../../server/http/endpoint.ts';
import { invalid } from '../../../server/http/problem.ts';
import { kindOf, unitsOf } from '../../../server/http/recordQuery.ts';
import { changeRecord, findRecord } from '../../../server/records.ts';
import { theStudio } from '../../../server/studios.ts';

/** One record, put away or not. */
export const GET = endpoint(async ({ params, url }) => {
  const kind = kindOf(params['kind'], url);
  const sql = database();
  return findRecord(sql, (await theStudio(sql)).id, kind, params['id'] ?? '');
});

/** Changes a record from the version it was read at; putting it away and bringing it back are changes too. */
export const PUT = endpoint(async ({ params, url, request }) => {
  const kind = kindOf(params['kind'], url);
  const { value, faults } = checkRecord(kind, await readJson(request), unitsOf(url.searchParams));
  if (faults) throw invalid(faults);
  if (value.id !== params['id']) throw invalid([{ path: 'id', message: 'The record’s identifier is not that of its address.' }]);
  const sql = database();
  return changeRecord(sql, (await theStudio(sql)).id, kind, value);
});
