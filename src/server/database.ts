import postgres from 'postgres';
import { whenClosing } from './closing.ts';
import { type Lanes, lanesOf } from './lanes.ts';
import { deadlineMs, held, inTime } from './statements.ts';

export type Sql = postgres.Sql;
/** What a statement can run on: the pool, or a transaction of it. */
export type Queryable = postgres.ISql;

const connectSeconds = 10;
/** As long as statements under way may take once the server is stopping. */
const closingSeconds = 5;

/** What the server itself gives up on, ms: a statement, waiting for a lock, a transaction that nobody goes on with. */
const serverGivesUp = { statement_timeout: 20_000, lock_timeout: 10_000, idle_in_transaction_session_timeout: 60_000 } as const;

/** The transactions’ own connections of each pool. */
const lanesIn = new WeakMap<object, Lanes>();

/** Opens a pool. Columns are snake_case in the database and camelCase here. */
export function openDatabase(url: string, { max = 10 }: { readonly max?: number } = {}): Sql {
  const client = (most: number, onclose: () => void) =>
    postgres(url, {
      max: most,
      connection: serverGivesUp,
      connect_timeout: connectSeconds,
      idle_timeout: 60,
      backoff: () => 0.2,
      onnotice: () => undefined,
      // What stands in a column of JSON is the application’s own and stays as it was written.
      transform: { column: { from: postgres.toCamel, to: postgres.fromCamel } },
      onclose,
    });
  const single = client(max, () => undefined);
  const lanes = lanesOf((onclose) => client(1, onclose), max, deadlineMs);
  const end: Sql['end'] = async (options) => {
    await Promise.all([single.end(options), lanes.end(options?.timeout)]);
  };
  const pool = inTime(single, { end });
  lanesIn.set(pool, lanes);
  return pool;
}

let pool: Sql | undefined;

/** The application's pool, opened at first use from `DATABASE_URL`. */
export function database(): Sql {
  const url = process.env['DATABASE_URL'];
  if (!url) throw new Error('DATABASE_URL is not set: start the application with npm start, or name a PostgreSQL server.');
  if (!pool) {
    const opened = openDatabase(url);
    whenClosing(() => opened.end({ timeout: closingSeconds }));
    pool = opened;
  }
  return pool;
}

const connectionCodes = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ENOTFOUND',
  'ETIMEDOUT',
  'EPIPE',
  'CONNECT_TIMEOUT',
  'CONNECTION_CLOSED',
  'CONNECTION_DESTROYED',
  'CONNECTION_ENDED',
  'RECORDS_LOST',
  // PostgreSQL: shutting down, crashed, starting up, too many connections.
  '57P01',
  '57P02',
  '57P03',
  '53300',
  // Out of disk or memory; given up on, or waited too long for another; two that waited for each other.
  '53100',
  '53200',
  '57014',
  '25P03',
  '55P03',
  '40P01',
  '40001',
]);

/** Whether an error means that the records could not be reached or could not do it just now, rather than that a statement was wrong. */
export function isConnectionLoss(error: unknown): boolean {
  if (error instanceof AggregateError) return error.errors.some(isConnectionLoss);
  return error instanceof Error && 'code' in error && typeof error.code === 'string' && connectionCodes.has(error.code);
}

/** The constraint a statement broke, if it broke one. */
export function brokenConstraint(error: unknown): string | undefined {
  return error instanceof postgres.PostgresError && error.code.startsWith('23') ? error.constraint_name : undefined;
}

const uuid = /^[0-9a-f]{8}-(?:[0-9a-f]{4}-){3}[0-9a-f]{12}$/i;

/** Whether a text can be the id of a record at all. */
export function isUuid(text: string): boolean {
  return uuid.test(text);
}

/**
 * Runs all of it or nothing: in a transaction of its own, or in the one it is already part of. A statement that failed
 * fails it, whoever caught that. Where the connection is lost while it is being kept nobody knows whether it was.
 */
export async function inTransaction<T>(sql: Queryable, run: (transaction: Queryable) => Promise<T>): Promise<T> {
  const lanes = lanesIn.get(sql);
  if (!lanes) return run(sql);
  const lane = await lanes.take();
  const { sql: transaction, closed, isLost, failure } = held(lane.sql);
  lane.onclose = closed;
  try {
    await transaction`begin`;
    const result = await run(transaction);
    if (failure() !== undefined) throw failure();
    await transaction`commit`;
    return result;
  } catch (error) {
    if (!isLost()) await transaction`rollback`.catch(() => undefined);
    throw error;
  } finally {
    if (isLost()) lanes.discard(lane);
    else lanes.giveBack(lane);
  }
}
