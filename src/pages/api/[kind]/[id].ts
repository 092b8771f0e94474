import { checkRecord } from '../../../contract/records/checkRecord.ts';
import { studioEndpoint } from '../../../server/http/endpoint.ts';
import { invalid } from '../../../server/http/problem.ts';
import { kindOf, unitsOf } from '../../../server/http/recordQuery.ts';
import { changeRecord, findRecord, recordsById } from '../../../server/records.ts';

/** One record, archived or not. */
export const GET = studioEndpoint(({ params, url, sql, studio }) =>
  findRecord(sql, studio.id, kindOf(params['kind'], url), params['id'] ?? ''),
);

/** Changes a record from the version it was read at; archiving and restoring it are changes too. What is not sent stays as it is. */
export const PUT = studioEndpoint(
  async ({ params, url, body, sql, studio }) => {
    const kind = kindOf(params['kind'], url);
    const id = (params['id'] ?? '').toLowerCase();
    const kept = (await recordsById(sql, studio.id, kind, [id])).get(id);
    const { value, faults } = checkRecord(kind, isObject(body) ? { ...kept, ...body } : body, unitsOf(url.searchParams));
    if (faults) throw invalid(faults);
    if (value.id !== id) throw invalid([{ path: 'id', message: 'The record’s identifier is not that of its address.' }]);
    return changeRecord(sql, studio.id, kind, value);
  },
  { content: 'json' },
);

function isObject(body: unknown): body is object {
  return typeof body === 'object' && body !== null && !Array.isArray(body);
}
