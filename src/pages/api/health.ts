import { database } from '../../server/database.ts';
import { endpoint, json } from '../../server/http/endpoint.ts';
import { RecordsLost } from '../../server/statements.ts';

/** Whoever asks wants to know soon: records that don’t answer within this can’t be reached. */
const deadlineMs = 3000;

/** Whether the application runs and its records can be reached. */
export const GET = endpoint(async () => {
  const late = AbortSignal.timeout(deadlineMs);
  const tooLate = new Promise<never>((_, reject) => {
    late.onabort = () => reject(new RecordsLost('The studio’s records did not answer in time.'));
  });
  try {
    await Promise.race([database()`select 1`, tooLate]);
    return { app: 'ropewalk', status: 'ok', records: 'ok' };
  } catch {
    return json({ app: 'ropewalk', status: 'degraded', records: 'unreachable' }, 503);
  }
});
