import { checkRecord } from '../../../contract/records/checkRecord.ts';
import { database } from '../../../server/database.ts';
import { readJson } from '../../../server/http/body.ts';
import { endpoint, json } from '../../../server/http/endpoint.ts';
import { invalid } from '../../../server/http/problem.ts';
import { kindOf, unitsOf, wantedOf } from '../../../server/http/recordQuery.ts';
import { addRecord, listRecords } from '../../../server/records.ts';
import { theStudio } from '../../../server/studios.ts';

/** A page of clients, shirts, jackets, ties, squares or outfits: `find`, `client`, `archived`, `from`. */
export const GET = endpoint(async ({ params, url }) => {
  const kind = kindOf(params['kind'], url);
  const sql = database();
  return listRecords(sql, (await theStudio(sql)).id, kind, wantedOf(url.searchParams));
});

/** Adds a record; the same id sent again is the same record. */
export const POST = endpoint(async ({ params, url, request }) => {
  const kind = kindOf(params['kind'], url);
  const { value, faults } = checkRecord(kind, await readJson(request), unitsOf(url.searchParams));
  if (faults) throw invalid(faults);
  const sql = database();
  return json(await addRecord(sql, (await theStudio(sql)).id, kind, value), 201);
});
