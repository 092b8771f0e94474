import assert from 'node:assert/strict';
import test from 'node:test';
import { frontDropOf } from '../../../src/core/body/frontDrop.ts';
import { plan } from '../../../src/core/index.ts';
import { question } from '../../support/ties.ts';

const heightMm = 1700;

test('a tape is good to half a centimetre, an estimate to two, a supposition to as much', () => {
  assert.deepEqual(frontDropOf({ heightMm, frontDropMm: 440 }), { meanMm: 440, sdMm: 5, measured: true });
  assert.deepEqual(frontDropOf({ heightMm, frontDropMm: 440, frontDropHow: 'estimate' }), { meanMm: 440, sdMm: 20, measured: false });
  const { meanMm, sdMm } = frontDropOf({ heightMm, frontDropMm: null });
  assert.ok(Math.abs(meanMm - 0.255 * heightMm) < 1e-9 && sdMm === 20);
});

test('a women’s front has its own estimate and a wider spread, and with a tape is known as well as any', () => {
  const womens = frontDropOf({ heightMm, frontDropMm: null, front: 'womens' });
  const mens = frontDropOf({ heightMm, frontDropMm: null });
  assert.ok(womens.sdMm > mens.sdMm && womens.meanMm !== mens.meanMm);
  assert.equal(frontDropOf({ heightMm, frontDropMm: 420, front: 'womens' }).sdMm, 5);
});

test('an estimated drop widens where the tip may fall, and the advice says so', () => {
  const client = { ...question.client, frontDropMm: 450 };
  const taped = plan({ ...question, client });
  const guessed = plan({ ...question, client: { ...client, frontDropHow: 'estimate' } });
  assert.equal(guessed.knots[0]!.start.tailDropMm, taped.knots.find(({ moves }) => moves === guessed.knots[0]!.moves)!.start.tailDropMm);
  assert.ok(guessed.knots[0]!.tip.sdMm > taped.knots[0]!.tip.sdMm + 5);
  assert.match(guessed.advice.find(({ code }) => code === 'drop-estimated')!.text, /is estimated: 45 cm \(±2 cm\)/);
});
