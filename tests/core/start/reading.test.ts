import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { completeRequest, plan } from '../../../src/core/index.ts';
import { crossedLoopFrom, hangOf, openLoopFrom } from '../../../src/core/start/hang.ts';
import { dropOf, type End, readingSd, stateCodes, tailFrom, tipIn } from '../../../src/core/start/reading.ts';
import { near } from '../../support/near.ts';
import { question } from '../../support/ties.ts';
import { anyRequest, tiedFrom } from '../../support/tyings.ts';

const ends: readonly End[] = ['tail', 'blade'];

test('a start read in any state, at either tip, is the same start again', () => {
  fc.assert(
    fc.property(anyRequest, (request) => {
      const hang = hangOf(request);
      for (const { start } of plan(request).knots.slice(0, 3)) {
        for (const state of stateCodes) {
          for (const end of ends) {
            const back = tailFrom(state, end, tipIn(start.readings, state, end), hang);
            assert.ok(Math.abs(back - start.tailDropMm) < 1e-6, `${state} ${end}: ${back} for ${start.tailDropMm}`);
          }
        }
      }
    }),
    { numRuns: 60 },
  );
});

test('set as it is read, in each state and at either tip, the tip lands where it was aimed', () => {
  fc.assert(
    fc.property(anyRequest, (request) => {
      const really = { hang: hangOf(request), takeUpShare: 0 };
      for (const knot of plan(request).knots.filter(({ feasible }) => feasible)) {
        for (const state of stateCodes) {
          for (const end of ends) {
            const landed = tiedFrom(request, really, knot.moves, state, end, tipIn(knot.start.readings, state, end));
            assert.ok(Math.abs(landed - knot.tip.dropMm) < 0.05, `${knot.moves} ${state} ${end}: ${landed} for ${knot.tip.dropMm}`);
          }
        }
      }
    }),
    { numRuns: 40 },
  );
});

test('the ten-second measurements give back the loops they were read on', () => {
  fc.assert(
    fc.property(anyRequest, (request) => {
      const { lengthMm, open, crossed, gapMm } = hangOf(request);
      const [knot] = plan(request).knots;
      assert.ok(knot);
      const { readings } = knot.start;
      const level = (readings.open.tailDropMm + readings.open.bladeDropMm) / 2;
      assert.ok(Math.abs(openLoopFrom(lengthMm, level) - open.meanMm) < 1e-6);
      const read = crossedLoopFrom(lengthMm, dropOf(readings.crossed, 'tail'), dropOf(readings.crossed, 'blade'), gapMm);
      assert.ok(Math.abs(read - crossed.meanMm) < 1e-6);
    }),
    { numRuns: 60 },
  );
});

test('what is not known of the loops widens a reading, and a measurement narrows it', () => {
  const unknown = hangOf(completeRequest(question));
  // Hung open (X + D)/2 with sd 20 and 25; crossed, the tail by X alone, the blade hardly at all.
  near(readingSd('open', 'tail', unknown), Math.hypot(20, 25) / 2, 1e-9, 'open');
  assert.equal(readingSd('crossed', 'tail', unknown), 20);
  assert.ok(readingSd('crossed', 'blade', unknown) < 10);
  const client = { ...question.client, openLoopMm: 310, crossedLoopMm: 430 };
  const measured = hangOf(completeRequest({ ...question, client }));
  for (const state of ['open', 'crossed'] as const) {
    assert.ok(readingSd(state, 'tail', measured) < readingSd(state, 'tail', unknown) / 2, state);
  }
});
