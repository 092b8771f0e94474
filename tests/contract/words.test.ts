import assert from 'node:assert/strict';
import test from 'node:test';
import { checkPlanQuestion } from '../../src/contract/planQuestion.ts';
import { checkRecord } from '../../src/contract/records/checkRecord.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import { question } from '../support/ties.ts';

const asked = (taste: object) => checkPlanQuestion({ ...question, taste });

test('a family is one of those there are', () => {
  for (const manner of ['classic', 'open', 'narrow', 'any']) assert.ok(asked({ manner }).value, manner);
  assert.deepEqual(
    asked({ manner: 'bow' }).faults?.map(({ path }) => path),
    ['taste.manner'],
  );
});

test('words looked at besides are kept canonical, told what is wrong with them, and not too many', () => {
  assert.deepEqual(asked({ also: ['li-ro-li-co', 'n li ro (li co) h'] }).value?.taste?.also, ['Li Ro Li Co T', 'N Li Ro (Li Co) H']);
  const [fault] = asked({ also: ['Li Li Co T'] }).faults ?? [];
  assert.match(fault?.message ?? '', /is not a knot: Move 2 stays/);
  assert.match(asked({ also: Array.from({ length: 9 }, () => 'Li Co D') }).faults?.[0]?.message ?? '', /At most 8/);
  assert.match(asked({ also: 'Li Co D' }).faults?.[0]?.message ?? '', /must be a list/);
});

test('which knot a client means by a name is one of those that pass under it, or not said', () => {
  const id = '00000000-0000-4000-8000-000000000001';
  const client = { ...kinds.clients.fresh, id, version: 0, archived: false, name: 'Somebody' };
  const check = (changes: object) => checkRecord('clients', { ...client, ...changes }, 'cm');
  assert.ok(check({}).value);
  assert.ok(check({ meansWindsor: 'Li Co Li Ro Ci Lo Ri Co T', meansHalfWindsor: 'Li Ro Ci Ro Li Co T' }).value);
  assert.deepEqual(
    check({ meansWindsor: 'Li Ro Ci Ro Li Co T' }).faults?.map(({ path }) => path),
    ['meansWindsor'],
  );
  assert.equal(check({ ownKnot: 'N Li Ro (Li Co)30 T' }).value?.ownKnot, 'N Li Ro (Li Co)30 T');
});
