import assert from 'node:assert/strict';
import test from 'node:test';
import { differences, merged } from '../../../src/contract/records/merge.ts';

const before = { id: '1', version: 3, archived: false, name: 'A', note: 'n', nickname: '', cautions: ['machinery'] };

test('only what somebody changed is told; a clash only where both changed it, and differently', () => {
  const mine = { ...before, name: 'B', note: 'mine', nickname: 'same' };
  const theirs = { ...before, version: 4, note: 'theirs', nickname: 'same', cautions: [] };
  assert.deepEqual(
    differences('clients', before, mine, theirs).map(({ key, clash }) => [key, clash]),
    [
      ['name', false],
      ['nickname', false],
      ['note', true],
      ['cautions', false],
    ],
  );
});

test('merged keeps both changes; a clash goes as chosen; the version is theirs', () => {
  const mine = { ...before, name: 'B', note: 'mine' };
  const theirs = { ...before, version: 4, note: 'theirs', cautions: [] as string[] };
  assert.deepEqual(
    merged('clients', before, mine, theirs, () => 'mine'),
    { ...before, version: 4, name: 'B', note: 'mine', cautions: [] },
  );
  assert.equal(merged('clients', before, mine, theirs, () => 'theirs').note, 'theirs');
});

test('putting away counts as a change too', () => {
  const mine = { ...before, name: 'B' };
  const theirs = { ...before, version: 4, archived: true };
  assert.equal(merged('clients', before, mine, theirs, () => 'mine').archived, true);
});
