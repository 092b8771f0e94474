import assert from 'node:assert/strict';
import { mock, test } from 'node:test';
import type postgres from 'postgres';
import { isConnectionLoss } from '../../src/server/database.ts';
import { type Lane, lanesOf } from '../../src/server/lanes.ts';
import { held, inTime, RecordsLost } from '../../src/server/statements.ts';

interface Made extends Promise<unknown> {
  handler: (statement: Made) => void;
  resolve: (value: unknown) => void;
  reject: (reason: unknown) => void;
  readonly text: string;
}

/** A driver that notes what is sent. */
function driver() {
  const sent: string[] = [];
  const make = (text: string): Made => {
    let resolve: Made['resolve'] = () => undefined;
    let reject: Made['reject'] = () => undefined;
    const promise = new Promise((yes, no) => {
      resolve = yes;
      reject = no;
    });
    const handler = (statement: Made) => {
      sent.push(statement.text);
    };
    return Object.assign(promise, { handler, resolve, reject, text });
  };
  const sql = Object.assign((strings: readonly string[]) => make(strings.join('?')), {
    unsafe: (text: string) => make(text),
    json: (value: unknown) => ({ value }),
  });
  return { sql: sql as unknown as postgres.Sql, sent };
}

/** As the driver does once somebody waits for a statement. */
function send(statement: unknown): Made {
  const made = statement as Made;
  made.handler(made);
  made.catch(() => undefined);
  return made;
}

test('once its connection is closed a transaction sends nothing more, and whoever waits is told', async () => {
  const { sql, sent } = driver();
  const transaction = held(sql);
  send(transaction.sql`begin`).resolve(undefined);
  const waiting = send(transaction.sql`select 1`);
  assert.equal(transaction.isLost(), false);
  transaction.closed();
  assert.equal(transaction.isLost(), true);
  await assert.rejects(waiting, RecordsLost);
  await assert.rejects(send(transaction.sql`commit`), (error: unknown) => isConnectionLoss(error));
  assert.deepEqual(sent, ['begin', 'select 1']);
});

test('a statement that failed is remembered, whoever caught it; what is no statement passes as it is', async () => {
  const { sql } = driver();
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
    const pool = driver();
    const answered = send(inTime(pool.sql)`select 1`);
    const stuck = send(inTime(pool.sql)`select 2`);
    const transaction = held(driver().sql);
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

/** Clients that are opened and ended, and do nothing else. */
function clients() {
  const opened: { readonly close: () => void; ended: boolean }[] = [];
  const open = (onclose: () => void) => {
    const client = { close: onclose, ended: false };
    opened.push(client);
    const end = async () => {
      client.ended = true;
    };
    return { end } as unknown as postgres.Sql;
  };
  return { opened, open };
}

test('transactions take turns on as many connections as there are; one that was lost is replaced', async () => {
  const { opened, open } = clients();
  const lanes = lanesOf(open, 2, 1000);
  const [first, second] = [await lanes.take(), await lanes.take()];
  const order: string[] = [];
  const noting = (as: string) => (lane: Lane) => {
    order.push(as);
    return lane;
  };
  const third = lanes.take().then(noting('third'));
  const fourth = lanes.take().then(noting('fourth'));
  lanes.giveBack(second);
  assert.equal(await third, second, 'who waited longest comes first');
  let told = 0;
  first.onclose = () => {
    told += 1;
  };
  opened[0]?.close();
  assert.equal(told, 1, 'who holds it is told that it closed');
  lanes.discard(first);
  const replaced = await fourth;
  assert.deepEqual(
    [opened.map(({ ended }) => ended), order],
    [
      [true, false, false],
      ['third', 'fourth'],
    ],
  );
  lanes.giveBack(replaced);
  opened[2]?.close();
  assert.equal(await lanes.take(), replaced, 'closed while nobody held it, it is opened again by the driver');
  await lanes.end(undefined);
  assert.ok(opened.every(({ ended }) => ended));
});

test('who waits for a connection in vain is told, and is not given one afterwards', async () => {
  const { open } = clients();
  const lanes = lanesOf(open, 1, 20);
  const held = await lanes.take();
  await assert.rejects(lanes.take(), (error: unknown) => isConnectionLoss(error));
  lanes.giveBack(held);
  assert.equal(await lanes.take(), held);
});
