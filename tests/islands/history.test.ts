import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { type HistoryAction, nextSteps, type Steps } from '../../src/islands/records/form/useHistory.ts';

const start: Steps = { past: [], present: '{"a":0,"b":0}', future: [], place: '', atMs: 0 };
const state = (a: number, b: number) => JSON.stringify({ a, b });
const changed = (now: string, atMs: number): HistoryAction => ({ kind: 'changed', now, atMs });
const run = (actions: readonly HistoryAction[]) => actions.reduce(nextSteps, start);

test('one drag is one step, another measure or a rest begins a new one', () => {
  const drag = [changed(state(1, 0), 1000), changed(state(2, 0), 1050), changed(state(3, 0), 1100)];
  assert.deepEqual(run(drag).past, [state(0, 0)]);
  assert.deepEqual(run([...drag, changed(state(3, 1), 1150)]).past, [state(0, 0), state(3, 0)]);
  assert.deepEqual(run([...drag, changed(state(4, 0), 5000)]).past, [state(0, 0), state(3, 0)]);
});

test('a change after undoing forgets what could have been redone', () => {
  const steps = run([changed(state(1, 0), 0), changed(state(1, 1), 10), { kind: 'undone' }, changed(state(9, 0), 20)]);
  assert.deepEqual(steps.future, []);
  assert.deepEqual(steps.past, [state(0, 0), state(1, 0)]);
});

test('undoing all steps gives the beginning, doing them again gives the end', () => {
  const anyChange = fc.tuple(fc.nat(3), fc.nat(3), fc.nat(2000));
  fc.assert(
    fc.property(fc.array(anyChange, { minLength: 1, maxLength: 30 }), (changes) => {
      let atMs = 0;
      const end = run(
        changes.map(([a, b, later]) => {
          atMs += later;
          return changed(state(a, b), atMs);
        }),
      );
      const count = end.past.length;
      const undone = Array.from({ length: count }, (): HistoryAction => ({ kind: 'undone' })).reduce(nextSteps, end);
      assert.equal(undone.present, state(0, 0));
      const redone = Array.from({ length: count }, (): HistoryAction => ({ kind: 'redone' })).reduce(nextSteps, undone);
      assert.equal(redone.present, end.present);
      assert.deepEqual(redone.past, end.past);
    }),
  );
});
