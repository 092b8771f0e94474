import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { plan } from '../../../src/core/index.ts';
import { crossedLoopOf, openLoopOf, readingsOf } from '../../../src/core/tying/readings.ts';
import { near } from '../../support/near.ts';
import { question } from '../../support/ties.ts';

const hanging = { lengthMm: 1470, loopMm: 420, openLoopMm: 310, crossedLoopMm: 430, gapMm: 0 };

test('the reference start, read open, crossed and snug', () => {
  const read = readingsOf(412.9, hanging);
  near(read.open.tailDropMm, 462.9, 1e-4, 'open');
  near(read.open.bladeDropMm, 697.1, 1e-4, 'open blade');
  near(read.crossed.tailDropMm, 402.9, 1e-4, 'crossed');
  near(read.crossed.bladeDropMm, 637.1, 1e-4, 'crossed blade');
  near(read.differenceMm, 234.2, 1e-3, 'difference');
  assert.equal(read.markMm, 412.9);
  const gap = readingsOf(412.9, { ...hanging, crossedLoopMm: 445, gapMm: 30 });
  near(gap.open.tailDropMm, 455.4, 1e-4, 'open, gap');
  near(gap.open.bladeDropMm, 704.6, 1e-4, 'open blade, gap');
  near(gap.crossed.tailDropMm, 417.9 - 15 + 15, 1e-4, 'crossed, gap');
  near(gap.crossed.bladeDropMm, 667.1, 1e-4, 'crossed blade, gap');
  near(gap.differenceMm, 249.2, 1e-3, 'difference, gap');
});

test('in every state all of the tie is somewhere, and the readings differ by the loops alone', () => {
  const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(mm(200, 480), mm(340, 520), mm(250, 400), mm(0, 40), mm(0, 60), (tail, loopMm, openLoopMm, slack, gapMm) => {
      const crossedLoopMm = loopMm + slack;
      const read = readingsOf(tail, { lengthMm: 1470, loopMm, openLoopMm, crossedLoopMm, gapMm });
      const close = (a: number, b: number) => assert.ok(Math.abs(a - b) < 1e-9, `${a} ${b}`);
      close(read.open.tailDropMm + read.open.bladeDropMm + openLoopMm, 1470);
      close(read.snug.tailDropMm + read.snug.bladeDropMm + loopMm, 1470);
      close(read.crossed.tailDropMm + read.crossed.bladeDropMm + crossedLoopMm - 2 * gapMm, 1470);
      close(read.open.bladeDropMm - read.open.tailDropMm, read.differenceMm);
      close(read.crossed.bladeDropMm - read.crossed.tailDropMm, read.differenceMm);
    }),
  );
});

test('the plan reads its starts by what was measured of the loops, or by the priors', () => {
  const [prior] = plan(question).knots;
  const asked = { lengthMm: 1470, loopMm: 420, openLoopMm: openLoopOf(420).meanMm, crossedLoopMm: crossedLoopOf(420, 0).meanMm, gapMm: 0 };
  const { tipSdMm, ...readings } = prior!.start.readings;
  assert.deepEqual(readings, readingsOf(prior!.start.tailDropMm, asked));
  near(tipSdMm!.open, Math.hypot(prior!.tip.sdMm, 1.2 * (Math.hypot(20, 25) / 2)), 1e-9, 'read open');
  near(tipSdMm!.crossed, Math.hypot(prior!.tip.sdMm, 1.2 * 20), 1e-9, 'read crossed');
  near(tipSdMm!.markMm, Math.hypot(prior!.tip.sdMm, 1.2 * 5), 1e-9, 'by the mark');
  const client = { ...question.client, openLoopMm: 330, crossedLoopMm: 450, crossingGapMm: 20 };
  const [measured] = plan({ ...question, client }).knots;
  assert.deepEqual(
    measured?.start.readings.open,
    readingsOf(measured!.start.tailDropMm, { ...asked, openLoopMm: 330, crossedLoopMm: 450 }).open,
  );
  assert.equal(measured?.start.tailDropMm, prior?.start.tailDropMm, 'a gap moves no start');
});
