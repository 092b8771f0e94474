import assert from 'node:assert/strict';
import test from 'node:test';
import { isUuid } from '../../src/server/database.ts';
import { changedMeanwhile, invalid, nothingAt, Problem } from '../../src/server/http/problem.ts';
import { kindOf, unitsOf, wantedOf } from '../../src/server/http/recordQuery.ts';

const url = new URL('http://localhost/api/dragons');
const query = (text: string) => new URLSearchParams(text);
const refuses = (run: () => unknown, status: number) =>
  assert.throws(run, (error: unknown) => error instanceof Problem && error.status === status);

test('an address speaks of a kind of record, or of nothing', () => {
  assert.equal(kindOf('ties', url), 'ties');
  refuses(() => kindOf('dragons', url), 404);
  refuses(() => kindOf(undefined, url), 404);
  refuses(() => kindOf('constructor', url), 404);
  assert.match(nothingAt(url).message, /\/api\/dragons was not found/);
});

test('a list’s query is read, with what is usual where nothing was said', () => {
  assert.deepEqual(wantedOf(query('')), { find: '', archived: false, from: 0 });
  assert.deepEqual(wantedOf(query('find=a+b&archived=true&from=150')), { find: 'a b', archived: true, from: 150 });
  assert.deepEqual(wantedOf(query('client=studio')), { find: '', archived: false, from: 0, clientId: null });
  assert.equal(wantedOf(query('client=x')).clientId, 'x');
  assert.equal(wantedOf(query('wearableBy=x')).wearableBy, 'x');
  assert.equal(wantedOf(query('archived=yes')).archived, false);
});

test('a place in a list is a whole number that is not absurd', () => {
  for (const from of ['-1', '1.5', 'x', '99999999', '']) refuses(() => wantedOf(query(`from=${from}`)), 400);
  assert.equal(wantedOf(query('from=0')).from, 0);
});

test('faults are worded in inches only when that is asked for', () => {
  assert.deepEqual([unitsOf(query('')), unitsOf(query('units=in')), unitsOf(query('units=ell'))], ['cm', 'in', 'cm']);
});

test('identifiers are told from other texts before the database sees them', () => {
  assert.ok(isUuid('7b1c8f0e-2f5e-4f0a-9c61-3a5f3b8d2c11'));
  for (const text of ['', 'x', '7b1c8f0e2f5e4f0a9c613a5f3b8d2c11', "7b1c8f0e-2f5e-4f0a-9c61-3a5f3b8d2c11'; --"]) assert.ok(!isUuid(text));
});

test('a refusal brings along what is kept now only where another change came between', () => {
  assert.deepEqual(changedMeanwhile('tie', { id: 1 }).body.error.current, { id: 1 });
  assert.equal('current' in invalid([{ path: 'a', message: 'A.' }]).body.error, false);
  assert.match(
    invalid([
      { path: 'a', message: 'A.' },
      { path: 'b', message: 'B.' },
    ]).message,
    /^2 errors: A\. B\.$/,
  );
});
