import { checkRecord } from '../../../contract/records/checkRecord.ts';
import { json, studioEndpoint } from '../../../server/http/endpoint.ts';
import { invalid } from '../../../server/http/problem.ts';
import { kindOf, unitsOf, wantedOf } from '../../../server/http/recordQuery.ts';
import { listShown } from '../../../server/lists.ts';
import { addRecord } from '../../../server/records.ts';

/** A page of records of a kind: `find`, `client`, `archived`, `from`. */
export const GET = studioEndpoint(({ params, url, sql, studio }) =>
  listShown({ sql, studio }, kindOf(params['kind'], url), wantedOf(url.searchParams)),
);

/** Adds a record; the same id sent again is the same record. */
export const POST = studioEndpoint(
  async ({ params, url, body, sql, studio }) => {
    const kind = kindOf(params['kind'], url);
    const { value, faults } = checkRecord(kind, body, unitsOf(url.searchParams));
    if (faults) throw invalid(faults);
    return json(await addRecord(sql, studio.id, kind, value), 201);
  },
  { content: 'json' },
);
