import { checkWalkIn } from '../../contract/walkIn.ts';
import { json, studioEndpoint } from '../../server/http/endpoint.ts';
import { invalid } from '../../server/http/problem.ts';
import { unitsOf } from '../../server/http/recordQuery.ts';
import { addRecord } from '../../server/records.ts';
import { wardrobe } from '../../server/wardrobe.ts';

/** Adds a new client with what they wear, all of it or nothing; sent again under the same ids, it is the same. Answers with their wardrobe. */
export const POST = studioEndpoint(
  async ({ url, body, sql, studio, person }) => {
    const { value, faults } = checkWalkIn(body, unitsOf(url.searchParams));
    if (faults) throw invalid(faults);
    const { client, shirt, jacket } = value;
    await addRecord(sql, studio.id, 'clients', client);
    if (shirt) await addRecord(sql, studio.id, 'shirts', shirt);
    if (jacket) await addRecord(sql, studio.id, 'jackets', jacket);
    return json(await wardrobe({ sql, studio, person }, client.id), 201);
  },
  { content: 'json' },
);
