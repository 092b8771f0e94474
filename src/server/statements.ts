import type postgres from 'postgres';

/** As long as an answer to one statement is waited for: somewhat longer than the server itself lets it run. */
export const deadlineMs = 25_000;

/** The driver’s statement: sent once somebody waits for it, by its handler. */
interface Statement extends Promise<unknown> {
  handler: Sender;
  reject: (reason: unknown) => void;
}
type Sender = ((statement: Statement) => unknown) & { readonly debug?: unknown };

/** A loss of the records that the driver itself doesn’t tell. */
export class RecordsLost extends Error {
  readonly code = 'RECORDS_LOST';
}

/**
 * The same statements, each passed to `send` when its time has come, with what passes it on to the driver. What is made
 * of pieces of statements stays as it is.
 */
function passing<T extends object>(sql: T, send: (statement: Statement, on: () => void) => void, instead: Partial<T> = {}): T {
  const through = (made: unknown): unknown => {
    if (made instanceof Promise) {
      const statement = made as Statement;
      const { handler } = statement;
      statement.handler = Object.assign((each: Statement) => send(each, () => handler(each)), { debug: handler.debug });
    }
    return made;
  };
  return new Proxy(sql, {
    apply: (target, self, given) => through(Reflect.apply(target as never, self, given)),
    get: (target, name) => {
      const value: unknown = Reflect.get(Object.hasOwn(instead, name) ? instead : target, name, target);
      if (name !== 'unsafe' || typeof value !== 'function') return value;
      return (...given: unknown[]) => through(Reflect.apply(value, target, given));
    },
  });
}

/** Gives up on a statement that nobody answers: a server can take connections and still be stuck. */
function answeredInTime(statement: Statement, giveUp: (reason: RecordsLost) => void): void {
  const timer = setTimeout(() => giveUp(new RecordsLost('The studio’s records did not answer in time.')), deadlineMs);
  const done = () => clearTimeout(timer);
  timer.unref();
  statement.then(done, done);
}

/** A pool none of whose statements is waited for without end; with some of what it does done otherwise. */
export function inTime<T extends object>(pool: T, instead: Partial<T> = {}): T {
  return passing(
    pool,
    (statement, on) => {
      answeredInTime(statement, statement.reject);
      on();
    },
    instead,
  );
}

/** The statements of one transaction, all on the one connection that is held for it. */
export interface Held {
  readonly sql: postgres.ISql;
  /** Tells that the connection was closed. */
  readonly closed: () => void;
  readonly isLost: () => boolean;
  /** What the first statement that failed failed of. */
  readonly failure: () => unknown;
}

/**
 * Holds a connection to its transaction. Once it is lost nothing more is sent: the driver would send it on whatever
 * connection stands in its place, outside of any transaction, or fall over where there is none.
 */
export function held(connection: postgres.Sql): Held {
  const pending = new Set<Statement>();
  let lost: RecordsLost | undefined;
  let failure: unknown;
  const lose = (reason: RecordsLost) => {
    lost ??= reason;
    for (const statement of pending) statement.reject(lost);
    pending.clear();
  };
  const sql = passing(connection as postgres.ISql, (statement, on) => {
    if (lost) {
      statement.reject(lost);
      return;
    }
    pending.add(statement);
    answeredInTime(statement, lose);
    statement.then(
      () => pending.delete(statement),
      (reason: unknown) => {
        pending.delete(statement);
        failure ??= reason;
      },
    );
    on();
  });
  return {
    sql,
    closed: () => lose(new RecordsLost('The studio’s records went out of reach in the middle of it.')),
    isLost: () => lost !== undefined,
    failure: () => failure,
  };
}
