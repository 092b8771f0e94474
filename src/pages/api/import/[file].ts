import { isExchangeFile, largestFileBytes } from '../../../contract/exchange/report.ts';
import { database } from '../../../server/database.ts';
import { importFile } from '../../../server/exchange/importFile.ts';
import { readText } from '../../../server/http/body.ts';
import { endpoint } from '../../../server/http/endpoint.ts';
import { nothingAt } from '../../../server/http/problem.ts';
import { theStudio } from '../../../server/studios.ts';

/** Says what a file would do, line by line; with `apply=true`, does all of it or nothing. */
export const POST = endpoint(async ({ params, url, request }) => {
  const name = params['file'];
  if (!isExchangeFile(name)) throw nothingAt(url);
  const text = await readText(request, largestFileBytes);
  const sql = database();
  return importFile(sql, await theStudio(sql), name, text, url.searchParams.get('apply') === 'true');
});
