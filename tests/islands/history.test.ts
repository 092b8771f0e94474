import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { createEntryStore } from '../../src/islands/ui/entryStore.ts';
import { valueAt, withValueAt } from '../../src/islands/ui/paths.ts';

/** A store with a clock that is turned by hand. */
function entered() {
  let now = 0;
  const store = createEntryStore({ a: 0, b: 0, list: [{ c: 0 }] }, () => now);
  return {
    store,
    set: (path: string, value: unknown, laterMs: number) => {
      now += laterMs;
      store.set(path, value);
    },
    past: () => store.store.temporal.getState().pastStates.length,
    future: () => store.store.temporal.getState().futureStates.length,
  };
}

test('one drag is one step, another field or a rest begins a new one', () => {
  const { store, set, past } = entered();
  for (const value of [1, 2, 3]) set('a', value, 50);
  assert.equal(past(), 1);
  set('b', 1, 50);
  assert.equal(past(), 2);
  set('b', 2, 5000);
  assert.equal(past(), 3);
  store.undo();
  store.undo();
  assert.deepEqual([store.get().a, store.get().b], [3, 0]);
});

test('what changes nothing is no step, and leaves the very same behind', () => {
  const { store, set, past } = entered();
  const before = store.get();
  set('list', [{ c: 0 }], 1000);
  assert.equal(past(), 0);
  assert.equal(store.get(), before);
});

test('a change after undoing forgets what could have been redone', () => {
  const { store, set, past, future } = entered();
  set('a', 1, 0);
  set('b', 1, 10);
  store.undo();
  assert.equal(future(), 1);
  set('a', 9, 20);
  assert.deepEqual([past(), future()], [2, 0], 'even where the same field is changed again at once');
});

test('what is begun anew has nothing to undo', () => {
  const { store, set, past } = entered();
  set('a', 1, 0);
  store.begin({ a: 5, b: 5, list: [] });
  assert.deepEqual([past(), store.get().a], [0, 5]);
});

test('undoing all steps gives the beginning, doing them again gives the end', () => {
  const anyChange = fc.tuple(fc.constantFrom('a', 'b', 'list.0.c'), fc.nat(3), fc.nat(2000));
  fc.assert(
    fc.property(fc.array(anyChange, { minLength: 1, maxLength: 30 }), (changes) => {
      const { store, set, past, future } = entered();
      const begin = store.get();
      for (const [path, value, later] of changes) set(path, value, later);
      const end = store.get();
      const count = past();
      for (let i = 0; i < count; i += 1) store.undo();
      assert.deepEqual([store.get(), past(), future()], [begin, 0, count]);
      for (let i = 0; i < count; i += 1) store.redo();
      assert.deepEqual([store.get(), past(), future()], [end, count, 0]);
    }),
  );
});

test('a path leads to one value, and changes nothing beside it', () => {
  const from = { a: { b: [1, 2] }, c: { d: 3 } };
  const to = withValueAt(from, 'a.b.1', 9);
  assert.deepEqual(to, { a: { b: [1, 9] }, c: { d: 3 } });
  assert.equal(to.c, from.c);
  assert.deepEqual([valueAt(from, 'a.b.1'), valueAt(from, 'a.x.1'), valueAt(null, 'a')], [2, undefined, undefined]);
});

test('steps that were kept can be undone and done again where it begins anew', () => {
  const store = createEntryStore({ a: 0 }, () => 0);
  store.begin({ a: 2 }, { past: [{ a: 0 }, { a: 1 }], future: [{ a: 3 }] });
  assert.deepEqual(store.steps(), { past: [{ a: 0 }, { a: 1 }], future: [{ a: 3 }] });
  store.undo();
  assert.deepEqual(store.get(), { a: 1 });
  store.redo();
  store.redo();
  assert.deepEqual(store.get(), { a: 3 });
});
