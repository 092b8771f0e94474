import { isExchangeFile } from '../../../contract/exchange/report.ts';
import { exportFile } from '../../../server/exchange/exportFile.ts';
import { studioEndpoint } from '../../../server/http/endpoint.ts';
import { nothingAt } from '../../../server/http/problem.ts';

/** One kind of record as CSV, the clients as vCards, or the whole studio as JSON. */
export const GET = studioEndpoint(async ({ params, url, sql, studio }) => {
  const name = params['file'];
  if (!isExchangeFile(name)) throw nothingAt(url);
  const { type, content } = await exportFile(sql, studio, name);
  return new Response(content, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}"`, 'cache-control': 'no-store' },
  });
});
