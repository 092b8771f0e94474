import postgres from 'postgres';
import { whenClosing } from './closing.ts';

export type Sql = postgres.Sql;
/** What a statement can run on: the pool, or a transaction of it. */
export type Queryable = postgres.ISql;

const connectSeconds = 3;
/** As long as statements under way may take once the server is stopping. */
const closingSeconds = 5;

/** Opens a pool. Columns are snake_case in the database and camelCase here. */
export function openDatabase(url: string, options: { readonly max?: number } = {}): Sql {
  return postgres(url, {
    max: options.max ?? 10,
    connect_timeout: connectSeconds,
    idle_timeout: 60,
    backoff: () => 0.2,
    onnotice: () => undefined,
    transform: postgres.camel,
  });
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
  // PostgreSQL: shutting down, crashed, starting up, too many connections.
  '57P01',
  '57P02',
  '57P03',
  '53300',
]);

/** Whether an error means that the records could not be reached, rather than that a statement was wrong. */
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

/** Runs all of it or nothing: in a transaction of its own, or in the one it is already part of. */
export async function inTransaction<T>(sql: Queryable, run: (transaction: Queryable) => Promise<T>): Promise<T> {
  if (!isPool(sql)) return run(sql);
  return (await sql.begin((transaction) => run(transaction))) as T;
}

function isPool(sql: Queryable): sql is Sql {
  return 'begin' in sql;
}
