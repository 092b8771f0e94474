import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { forgetAtHand, isAtHand, keepAtHand, keptAtHand } from '../../src/islands/atHand/kept.ts';
import { freshAtHand } from '../../src/islands/atHand/values.ts';
import { dropDraft, keepDraft, keptDraft } from '../../src/islands/records/form/drafts.ts';
import { emptyWardrobe } from '../support/wardrobe.ts';

const none = { past: [], future: [] };
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
  assert.equal(keptDraft('clients', '1', entries(''))?.entries['name'], 'B');
  assert.equal(keptDraft('clients', '2', entries('')), undefined);
  assert.equal(keptDraft('ties', '1', entries('')), undefined);
  dropDraft('clients', '1');
  assert.equal(keptDraft('clients', '1', entries('')), undefined);
});

test('what can’t be read any more is as good as nothing, and so is what has another shape', () => {
  keepDraft('ties', 'new', { before: entries('A'), entries: entries('B') });
  for (const key of kept.keys()) kept.set(key, '{"cut');
  assert.equal(keptDraft('ties', 'new', entries('')), undefined);
  keepDraft('ties', 'new', { before: entries('A'), entries: { id: '1', version: 1, archived: false } });
  assert.equal(keptDraft('ties', 'new', entries('')), undefined, 'a field is missing');
  keepAtHand({} as never, none, '');
  for (const key of kept.keys()) kept.set(key, 'x');
  assert.equal(keptAtHand(), undefined);
});

test('what stands at hand is kept whole, and forgotten whole', () => {
  const values = freshAtHand(emptyWardrobe);
  const before = { ...values, note: 'before' };
  keepAtHand(values, { past: [before], future: [] }, '?client=walk-in');
  assert.deepEqual(keptAtHand(), { values, past: [before], future: [], address: '?client=walk-in' });
  forgetAtHand();
  assert.equal(keptAtHand(), undefined);
});

test('what comes back from a device is held to its shape: nothing else is worked with', () => {
  const values = JSON.parse(JSON.stringify(freshAtHand(emptyWardrobe))) as ReturnType<typeof freshAtHand>;
  assert.ok(isAtHand(values));
  const { question } = values;
  const broken: readonly unknown[] = [
    null,
    [],
    { ...values, client: null },
    { ...values, client: { id: 7, label: 'X' } },
    { ...values, aim: 'sky' },
    { ...values, knot: 'Li Li' },
    { ...values, colours: { tie: [1], shirt: null, jacket: null } },
    { ...values, question: { ...question, tie: { ...question.tie, fabric: 'lead' } } },
    { ...values, question: { ...question, client: { ...question.client, blade: 'up' } } },
    { ...values, question: { ...question, shirt: { ...question.shirt, buttonsMm: ['a'] } } },
    { ...values, question: { ...question, jacket: {} } },
    { ...values, question: { ...question, search: { ...question.search, manner: 'bow' } } },
    { ...values, question: { ...question, liking: {} } },
  ];
  for (const each of broken) assert.ok(!isAtHand(each), JSON.stringify(each)?.slice(0, 80));
  assert.ok(isAtHand({ ...values, question: { ...question, tie: { ...question.tie, lengthMm: 'long' } } }), 'text in a field is kept');
});
