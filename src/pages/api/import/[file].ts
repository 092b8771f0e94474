import { isExchangeFile, largestFileBytes } from '../../../contract/exchange/report.ts';
import { importFile } from '../../../server/exchange/importFile.ts';
import { studioEndpoint } from '../../../server/http/endpoint.ts';
import { nothingAt } from '../../../server/http/problem.ts';

/** Says what a file would do, line by line; with `apply=true`, does all of it or nothing. */
export const POST = studioEndpoint(
  ({ params, url, body, sql, studio }) => {
    const name = params['file'];
    if (!isExchangeFile(name)) throw nothingAt(url);
    return importFile(sql, studio, name, String(body), url.searchParams.get('apply') === 'true');
  },
  { content: 'file', mostBytes: largestFileBytes },
);
