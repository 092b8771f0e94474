import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { startClock, stepDone } from '../../../src/core/practice/clock.ts';

test('each step takes from where the one before it ended', () => {
  let clock = startClock(1000);
  for (const [before, now] of [
    [0, 3500],
    [1, 5000],
    [2, 9000],
  ] as const)
    clock = stepDone(clock, before, now);
  assert.deepEqual(clock.seconds, [2.5, 1.5, 4]);
});

test('a step that was gone back to is not timed twice: its time counts to the one that was not done', () => {
  let clock = stepDone(startClock(0), 0, 2000);
  clock = stepDone(clock, 0, 5000);
  assert.deepEqual(clock.seconds, [2]);
  clock = stepDone(clock, 1, 9000);
  assert.deepEqual(clock.seconds, [2, 7]);
});

test('however often one goes back, the seconds of all steps are those since the start', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ back: fc.nat(3), ms: fc.integer({ min: 1, max: 9000 }) }), { minLength: 1, maxLength: 30 }),
      (made) => {
        let [clock, now] = [startClock(0), 0];
        for (const { back, ms } of made) {
          now += ms;
          clock = stepDone(clock, Math.max(0, clock.seconds.length - back), now);
        }
        const timed = clock.seconds.reduce((sum, s) => sum + s, 0);
        assert.ok(Math.abs(timed - clock.stepMs / 1000) < 1e-9);
        assert.ok(clock.seconds.every((s) => s > 0));
      },
    ),
  );
});
