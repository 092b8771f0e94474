import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import test from 'node:test';
import { writeCsv } from '../../src/contract/exchange/csv.ts';
import { longestTime, mostTimes } from '../../src/contract/fields/times.ts';
import { checkRecord } from '../../src/contract/records/checkRecord.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';

const run = (seconds: unknown) => ({
  ...kinds.rehearsals.fresh,
  id: randomUUID(),
  label: 'A run',
  learnerId: randomUUID(),
  knot: 'Li Ro Li Co T',
  doneOn: '2026-11-20',
  seconds,
});
const faultsOf = (seconds: unknown) => checkRecord('rehearsals', run(seconds), 'cm').faults ?? [];

test('seconds are numbers a step can take, no more of them than any tying has', () => {
  for (const seconds of [[], [0], [4.5, longestTime], new Array(mostTimes).fill(1)]) assert.deepEqual(faultsOf(seconds), []);
  for (const seconds of ['4 5 x', [-1], [longestTime + 1], new Array(mostTimes + 1).fill(1), [Number.NaN]]) {
    const [fault] = faultsOf(seconds);
    assert.match(fault?.path ?? '', /^seconds/);
    assert.match(fault?.message ?? '', /Seconds for each step: enter up to 60 numbers/);
  }
});

test('in a table they stand in one cell, with spaces between', () => {
  const text = writeCsv('rehearsals', [run([4.5, 6, 12.25])] as never, () => 'Odo');
  const [head = '', line = ''] = text.split('\r\n');
  assert.ok(head.split(',').includes('seconds'));
  assert.ok(line.includes('4.5 6 12.25'), line);
  assert.ok(line.includes('Odo'), 'the learner by name, for people');
});
