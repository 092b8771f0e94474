import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { clearBench, keepBench, keptBench } from '../../src/islands/atHand/kept.ts';
import { dropDraft, keepDraft, keptDraft } from '../../src/islands/records/form/drafts.ts';

const kept = new Map<string, string>();
beforeEach(() => {
  kept.clear();
  Object.assign(globalThis, {
    sessionStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    },
  });
});

const entries = (name: string) => ({ id: '1', version: 1, archived: false, name });

test('what was typed is kept for its own record and no other', () => {
  keepDraft('clients', '1', { before: entries('A'), entries: entries('B') });
  assert.equal(keptDraft('clients', '1')?.entries['name'], 'B');
  assert.equal(keptDraft('clients', '2'), undefined);
  assert.equal(keptDraft('ties', '1'), undefined);
  dropDraft('clients', '1');
  assert.equal(keptDraft('clients', '1'), undefined);
});

test('what cannot be read any more is as good as nothing', () => {
  keepDraft('ties', 'new', { before: entries('A'), entries: entries('B') });
  for (const key of kept.keys()) kept.set(key, '{"cut');
  assert.equal(keptDraft('ties', 'new'), undefined);
  keepBench({} as never);
  for (const key of kept.keys()) kept.set(key, 'x');
  assert.equal(keptBench(), undefined);
});

test('the bench is kept whole, and cleared whole', () => {
  const bench = { client: { id: 'c', label: 'C' }, knot: 'Li Ro Li Co T' } as never;
  keepBench(bench);
  assert.deepEqual(keptBench(), bench);
  clearBench();
  assert.equal(keptBench(), undefined);
});
