import assert from 'node:assert/strict';
import test from 'node:test';
import { assumeWearer } from '../../../src/core/body/assumed.ts';
import { frontDropOf } from '../../../src/core/body/frontDrop.ts';
import { uncalibrated } from '../../../src/core/fitbook/calibration.ts';
import { plan } from '../../../src/core/index.ts';
import { usualWearer } from '../../../src/core/usual.ts';
import { question } from '../../support/ties.ts';

const client = { heightMm: 1700, neckMm: 380, frontDropMm: null };

test('what was taken is left as it is, and nothing is less sure for it', () => {
  assert.deepEqual(assumeWearer(client, uncalibrated), { client, calibration: uncalibrated });
});

test('a height or a collar size that was never taken is the usual one, and the client is known so much less', () => {
  const sd = (of: { heightMm: number | null; neckMm: number | null; frontDropMm: number | null }) =>
    assumeWearer(of, uncalibrated).calibration.client.sdMm;
  const nothing = assumeWearer({ heightMm: null, neckMm: null, frontDropMm: null }, uncalibrated);
  assert.deepEqual([nothing.client.heightMm, nothing.client.neckMm], [usualWearer.heightMm, usualWearer.neckMm]);
  const estimated = frontDropOf(client).sdMm;
  const [noHeight, noNeck, neither] = [sd({ ...client, heightMm: null }), sd({ ...client, neckMm: null }), nothing.calibration.client.sdMm];
  assert.ok(noHeight! > estimated && noNeck! > estimated && neither! > noHeight! && neither! > noNeck!);
  const taped = sd({ heightMm: null, neckMm: 380, frontDropMm: 450 })!;
  assert.equal(taped, frontDropOf({ ...client, frontDropMm: 450 }).sdMm, 'a taped drop needs no height');
});

test('a stranger’s tip is known less well, so fewer first tries land', () => {
  const chance = (of: Parameters<typeof assumeWearer>[0]) =>
    plan({ ...question, ...assumeWearer(of, uncalibrated) }).knots.find(({ moves }) => moves === 'Li Ro Li Co T')!.tip.inBandProbability;
  assert.ok(chance({ heightMm: null, neckMm: null, frontDropMm: null }) < chance({ ...usualWearer, frontDropMm: null }) - 0.03);
});
