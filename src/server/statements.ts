import type postgres from 'postgres';

/** As long as an answer to one statement is waited for: somewhat longer than the server itself lets it run. */
const deadlineMs = 25_000;

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
function passing<T extends object>(sql: T, send: (statement: Statement, on: () => void) => void): T {
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
      const value: unknown = Reflect.get(target, name, target);
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

/** A pool none of whose statements is waited for without end. */
export function inTime<T extends object>(pool: T): T {
  return passing(pool, (statement, on) => {
    answeredInTime(statement, statement.reject);
    on();
  });
}

/** The statements of one transaction, all on the one connection that is held for it. */
export interface Held {
  readonly sql: postgres.ISql;
  /** Tells that the connection with this number was closed. */
  readonly closed: (connection: number) => void;
  readonly isLost: () => boolean;
  /** What the first statement that failed failed of. */
  readonly failure: () => unknown;
}

/**
 * Holds a connection to its transaction. Once it is lost nothing more is sent: the driver would send it on whatever
 * connection stands in its place, outside of any transaction, or fall over where there is none.
 */
export function held(reserved: postgres.ReservedSql): Held & { readonly begin: () => Promise<unknown> } {
  const pending = new Set<Statement>();
  let connection: number | undefined;
  let lost: RecordsLost | undefined;
  let failure: unknown;
  const lose = (reason: RecordsLost) => {
    lost ??= reason;
    for (const statement of pending) statement.reject(lost);
    pending.clear();
  };
  const sql = passing(reserved, (statement, on) => {
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
  const onexecute = ({ id }: { readonly id: number }) => {
    connection = id;
  };
  return {
    sql,
    // The driver tells by this which connection it is; its types don’t know of it.
    begin: () => sql.unsafe('begin', [], { onexecute } as never),
    closed: (id) => {
      if (id === connection) lose(new RecordsLost('The studio’s records went out of reach in the middle of it.'));
    },
    isLost: () => lost !== undefined,
    failure: () => failure,
  };
}
