import { dayIn } from '../../contract/days.ts';
import { type ExchangeFile, exchangeFiles, type ImportReport, type ReportLine } from '../../contract/exchange/report.ts';
import type { StudioRecord } from '../../contract/records/records.ts';
import { inTransaction, type Queryable } from '../database.ts';
import { compareWithKept } from './compare.ts';
import { proposalsIn } from './proposals.ts';

/**
 * Says what importing a file would do, line by line; with `apply`, does it: all of it, or
 * nothing while there is an error.
 */
export async function importFile(
  sql: Queryable,
  studio: StudioRecord,
  name: ExchangeFile,
  text: string,
  apply: boolean,
): Promise<ImportReport> {
  const { proposals, faults, notes } = await proposalsIn(exchangeFiles[name], text, dayIn(studio.timeZone));
  return inTransaction(sql, async (transaction) => {
    const compared = await compareWithKept(transaction, studio, proposals);
    const lines: readonly ReportLine[] = compared.map(({ report }) => report);
    const clean = faults.length === 0 && lines.every(({ action }) => action !== 'fault');
    const applied = apply && clean;
    if (applied) await applyAll(transaction, compared);
    return { lines, faults, notes, applied };
  });
}

async function applyAll(sql: Queryable, compared: Awaited<ReturnType<typeof compareWithKept>>): Promise<void> {
  for (const { apply } of compared) await apply?.(sql);
}
