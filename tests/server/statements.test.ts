import assert from 'node:assert/strict';
import { mock, test } from 'node:test';
import type postgres from 'postgres';
import { isConnectionLoss } from '../../src/server/database.ts';
import { held, inTime, RecordsLost } from '../../src/server/statements.ts';

interface Made extends Promise<unknown> {
  handler: (statement: Made) => void;
  resolve: (value: unknown) => void;
  reject: (reason: unknown) => void;
  readonly text: string;
}

/** A driver that notes what is sent, on the connection with this number. */
function driver(connection: number) {
  const sent: string[] = [];
  const make = (text: string, onexecute?: (of: { id: number }) => void): Made => {
    let resolve: Made['resolve'] = () => undefined;
    let reject: Made['reject'] = () => undefined;
    const promise = new Promise((yes, no) => {
      resolve = yes;
      reject = no;
    });
    const handler = (statement: Made) => {
      sent.push(statement.text);
      onexecute?.({ id: connection });
    };
    return Object.assign(promise, { handler, resolve, reject, text });
  };
  const sql = Object.assign((strings: readonly string[]) => make(strings.join('?')), {
    unsafe: (text: string, _: unknown, options: { onexecute?: (of: { id: number }) => void }) => make(text, options.onexecute),
    json: (value: unknown) => ({ value }),
  });
  return { sql: sql as unknown as postgres.ReservedSql, sent };
}

/** As the driver does once somebody waits for a statement. */
function send(statement: unknown): Made {
  const made = statement as Made;
  made.handler(made);
  made.catch(() => undefined);
  return made;
}

test('once its connection is closed a transaction sends nothing more, and whoever waits is told', async () => {
  const { sql, sent } = driver(7);
  const transaction = held(sql);
  send(transaction.begin()).resolve(undefined);
  const waiting = send(transaction.sql`select 1`);
  transaction.closed(8);
  assert.equal(transaction.isLost(), false, 'another connection');
  transaction.closed(7);
  assert.equal(transaction.isLost(), true);
  await assert.rejects(waiting, RecordsLost);
  await assert.rejects(send(transaction.sql`commit`), (error: unknown) => isConnectionLoss(error));
  assert.deepEqual(sent, ['begin', 'select 1']);
});

test('a statement that failed is remembered, whoever caught it; what is no statement passes as it is', async () => {
  const { sql } = driver(1);
  const transaction = held(sql);
  assert.deepEqual(transaction.sql.json({ a: 1 } as never), { value: { a: 1 } });
  assert.equal(transaction.failure(), undefined);
  const wrong = send(transaction.sql`insert`);
  wrong.reject(new Error('no such column'));
  await assert.rejects(wrong, /no such column/);
  assert.match(String(transaction.failure()), /no such column/);
  assert.equal(transaction.isLost(), false);
});

test('a statement that nobody answers is given up, in a transaction with all the others; one that was answered is not', async () => {
  mock.timers.enable({ apis: ['setTimeout'] });
  try {
    const pool = driver(1);
    const answered = send(inTime(pool.sql)`select 1`);
    const stuck = send(inTime(pool.sql)`select 2`);
    const transaction = held(driver(2).sql);
    const [first, second] = [send(transaction.sql`select 3`), send(transaction.sql`select 4`)];
    answered.resolve('one');
    assert.equal(await answered, 'one');
    mock.timers.tick(60_000);
    for (const each of [stuck, first, second]) await assert.rejects(each, RecordsLost);
    assert.equal(transaction.isLost(), true);
  } finally {
    mock.timers.reset();
  }
});
