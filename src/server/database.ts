import postgres from 'postgres';
import { whenClosing } from './closing.ts';
import { held, inTime } from './statements.ts';

export type Sql = postgres.Sql;
/** What a statement can run on: the pool, or a transaction of it. */
export type Queryable = postgres.ISql;

const connectSeconds = 3;
/** As long as statements under way may take once the server is stopping. */
const closingSeconds = 5;

/** Who is told of each connection that is closed, by its number. */
const closings = new Set<(connection: number) => void>();

/** What the server itself gives up on, ms: a statement, waiting for a lock, a transaction that nobody goes on with. */
const serverGivesUp = { statement_timeout: 20_000, lock_timeout: 10_000, idle_in_transaction_session_timeout: 60_000 } as const;

/** Opens a pool. Columns are snake_case in the database and camelCase here. */
export function openDatabase(url: string, options: { readonly max?: number } = {}): Sql {
  const pool = postgres(url, {
    max: options.max ?? 10,
    connection: serverGivesUp,
    connect_timeout: connectSeconds,
    idle_timeout: 60,
    backoff: () => 0.2,
    onnotice: () => undefined,
    transform: postgres.camel,
    onclose: (connection) => {
      for (const tell of closings) tell(connection);
    },
  });
  return inTime(pool);
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
  if (!isPool(sql)) return run(sql);
  const reserved = await sql.reserve();
  const { sql: transaction, begin, closed, isLost, failure } = held(reserved);
  closings.add(closed);
  try {
    await begin();
    const result = await run(transaction);
    if (failure() !== undefined) throw failure();
    await transaction`commit`;
    return result;
  } catch (error) {
    if (!isLost()) await transaction`rollback`.catch(() => undefined);
    throw error;
  } finally {
    closings.delete(closed);
    // A connection that was lost is the driver’s again by itself.
    if (!isLost()) reserved.release();
  }
}

function isPool(sql: Queryable): sql is Sql {
  return 'begin' in sql;
}
