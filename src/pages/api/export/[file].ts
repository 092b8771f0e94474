import { isExchangeFile } from '../../../contract/exchange/report.ts';
import { database } from '../../../server/database.ts';
import { exportFile } from '../../../server/exchange/exportFile.ts';
import { endpoint } from '../../../server/http/endpoint.ts';
import { nothingAt } from '../../../server/http/problem.ts';
import { theStudio } from '../../../server/studios.ts';

/** One kind of record as CSV, the clients as vCards, or the whole studio as JSON. */
export const GET = endpoint(async ({ params, url }) => {
  const name = params['file'];
  if (!isExchangeFile(name)) throw nothingAt(url);
  const sql = database();
  const { type, text } = await exportFile(sql, await theStudio(sql), name);
  return new Response(text, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}"`, 'cache-control': 'no-store' },
  });
});
