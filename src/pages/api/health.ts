import { database } from '../../server/database.ts';
import { endpoint, json } from '../../server/http/endpoint.ts';

/** Whether the application runs and its records can be reached. */
export const GET = endpoint(async () => {
  try {
    await database()`select 1`;
    return { app: 'ropewalk', status: 'ok', records: 'ok' };
  } catch {
    return json({ app: 'ropewalk', status: 'degraded', records: 'unreachable' }, 503);
  }
});
