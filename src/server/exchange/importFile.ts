import { setImmediate } from 'node:timers/promises';
import { dayIn } from '../../contract/days.ts';
import { type ExchangeFile, exchangeFiles, type ImportReport } from '../../contract/exchange/report.ts';
import type { StudioRecord } from '../../contract/records/records.ts';
import { inTransaction, type Queryable } from '../database.ts';
import type { Spool } from '../http/spool.ts';
import { comparing } from './compare.ts';
import { onceOnly } from './onceOnly.ts';
import { type Proposal, proposalsIn, UnreadableFile } from './proposals.ts';
import { reporting } from './reporting.ts';

/** How an import is asked for. With a key it is done once, however often it is sent. */
export interface ImportAsked {
  readonly apply: boolean;
  readonly key: string | undefined;
}

/** So many at a time: they take some ten milliseconds, and whatever else waits to be answered comes between. */
const atATime = 50;

/**
 * Says what importing a file would do, line by line; with `apply`, does it: all of it, or nothing while there is an error.
 * A studio’s file is gone through a few records at a time, however large it is.
 */
export function importFile(
  sql: Queryable,
  studio: StudioRecord,
  name: ExchangeFile,
  file: Spool,
  { apply, key }: ImportAsked,
): Promise<ImportReport> {
  return inTransaction(sql, async (transaction) => {
    if (!apply) return gone(transaction, studio, name, file, false);
    return onceOnly(transaction, studio.id, key, async () => {
      await transaction`savepoint before_import`;
      const report = await gone(transaction, studio, name, file, true);
      if (!report.applied) await transaction`rollback to savepoint before_import`;
      return report;
    });
  });
}

async function gone(sql: Queryable, studio: StudioRecord, name: ExchangeFile, file: Spool, apply: boolean): Promise<ImportReport> {
  const { add, fault, note, isClean, told } = reporting();
  const compare = comparing(sql, studio);
  try {
    for await (const proposals of inPortions(proposalsIn(exchangeFiles[name], file, dayIn(studio.timeZone), { fault, note }))) {
      const compared = await compare(proposals);
      for (const { report } of compared) add(report);
      // Once something is at fault nothing of it will stay: the rest is looked through only.
      if (apply && isClean()) for (const each of compared) await each.apply?.(sql);
      await setImmediate();
    }
  } catch (error) {
    if (!(error instanceof UnreadableFile)) throw error;
    fault(error.message);
  }
  return told(apply && isClean());
}

async function* inPortions(proposals: AsyncIterable<Proposal>): AsyncGenerator<readonly Proposal[]> {
  let portion: Proposal[] = [];
  for await (const proposal of proposals) {
    portion.push(proposal);
    if (portion.length < atATime) continue;
    yield portion;
    portion = [];
  }
  if (portion.length > 0) yield portion;
}
