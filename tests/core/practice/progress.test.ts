import assert from 'node:assert/strict';
import test from 'node:test';
import type { PracticePart, Run } from '../../../src/core/practice/parts.ts';
import { progressByKnot, progressOf } from '../../../src/core/practice/progress.ts';

const knot = 'Li Ro Li Co T';
const run = (doneOn: string, seconds: number[], clean = true, part: PracticePart = 'moves', wrong = ''): Run => ({
  knot,
  part,
  doneOn,
  seconds,
  clean,
  wrong,
});

test('moves first, finish second, length last: three clean runs in a row take a learner on', () => {
  const moves = [run('2026-11-02', [5, 5, 5, 9]), run('2026-11-03', [5, 5, 5, 8]), run('2026-11-04', [4, 5, 5, 8])];
  assert.equal(progressOf(knot, moves.slice(0, 2)).part, 'moves');
  assert.equal(progressOf(knot, moves).part, 'finish');
  const slipped = [moves[0]!, moves[1]!, run('2026-11-04', [9, 9, 9, 9], false), moves[2]!];
  assert.equal(progressOf(knot, slipped).part, 'moves', 'a slip begins the row anew');
  const finish = ['2026-11-05', '2026-11-06', '2026-11-07'].map((day) => run(day, [4, 4, 4, 8, 9], true, 'finish'));
  const all = progressOf(knot, [...moves, ...finish]);
  assert.equal(all.part, 'length');
  assert.equal(all.canSince, '2026-11-07', 'it can be tied since it was finished three times without a slip');
  assert.equal(all.typicalS, 29, 'the length is not begun: the finish tells');
});

test('the best is the fastest clean run, the typical one the middle of the latest; the longest steps are named', () => {
  const progress = progressOf(knot, [
    run('2026-11-02', [5, 6, 5, 14], false, 'moves', 'behind, not across'),
    run('2026-11-03', [4, 5, 4, 9]),
    run('2026-11-05', [4, 4, 4, 6], false, 'moves', 'behind, not across'),
    run('2026-11-09', [5, 7, 5, 11], true),
  ]);
  assert.equal(progress.bestS, 22);
  assert.equal(progress.typicalS, 25);
  assert.deepEqual(progress.costly, [3, 1]);
  assert.deepEqual(progress.wrong, ['behind, not across']);
  assert.equal(progress.inARow, 1);
});

test('what sits is practised ever more seldom, what slipped the next day', () => {
  const clean = (count: number) => Array.from({ length: count }, (_, i) => run(`2026-11-0${i + 1}`, [5, 5, 5, 5]));
  const next = [1, 2, 3].map((count) => progressOf(knot, clean(count)).nextOn);
  assert.deepEqual(next, ['2026-11-02', '2026-11-04', '2026-11-07']);
  assert.equal(progressOf(knot, [...clean(3), run('2026-11-30', [9, 9, 9, 9], false)]).nextOn, '2026-12-01');
});

test('each knot is told by its own runs; with none there is nothing to tell', () => {
  const other = { ...run('2026-11-02', [9]), knot: 'Lo Ri Co T' };
  assert.deepEqual(
    progressByKnot([run('2026-11-02', [5]), other, other]).map(({ knot: word, runs }) => [word, runs]),
    [
      [knot, 1],
      ['Lo Ri Co T', 2],
    ],
  );
  assert.deepEqual(progressByKnot([]), []);
  const none = progressOf(knot, []);
  assert.deepEqual([none.bestS, none.typicalS, none.canSince, none.stepS], [null, null, null, []]);
});
