import { isExchangeFile, largestFileBytes } from '../../../contract/exchange/report.ts';
import { importFile } from '../../../server/exchange/importFile.ts';
import { studioEndpoint } from '../../../server/http/endpoint.ts';
import { nothingAt } from '../../../server/http/problem.ts';
import type { Spool } from '../../../server/http/spool.ts';

/** Says what a file would do, line by line; with `apply=true`, does all of it or nothing, under a `key` once. */
export const POST = studioEndpoint(
  ({ params, url, body, sql, studio }) => {
    const name = params['file'];
    if (!isExchangeFile(name)) throw nothingAt(url);
    const { searchParams } = url;
    return importFile(sql, studio, name, body as Spool, {
      apply: searchParams.get('apply') === 'true',
      key: searchParams.get('key') ?? undefined,
    });
  },
  { content: 'file', mostBytes: largestFileBytes },
);
