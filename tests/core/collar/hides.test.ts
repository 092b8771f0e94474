import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { hiddenBy } from '../../../src/core/collar/hides.ts';
import { collarStyles } from '../../../src/core/collar/styles.ts';
import { parseKnot, takeUp } from '../../../src/core/index.ts';
import { widthAt } from '../../../src/core/tie/width.ts';
import { tieA } from '../../support/ties.ts';

const collar = (collarSpreadMm: number, tieSpaceMm: number) => ({ collarPointMm: 75, collarSpreadMm, tieSpaceMm, standMm: 34 });
const collars = { point: collar(70, 5), semiSpread: collar(110, 8), wide: collar(135, 10), cutaway: collar(150, 12) };
const loopMm = 420;

function beside(word: string, tailMm: number, of: (typeof collars)[keyof typeof collars]): number {
  const { shape } = takeUp(parseKnot(word), tieA, { loopMm, tailMm });
  const bandMm = Math.min(widthAt(tieA, tieA.lengthMm - loopMm - tailMm), widthAt(tieA, tieA.lengthMm - tailMm));
  return hiddenBy(of, shape, bandMm).besideMm;
}

test('the reference: a four-in-hand shows 4 mm of band on a cutaway, just covers a wide spread, and the Windsor covers all', () => {
  const fourInHand = (of: (typeof collars)[keyof typeof collars]) => beside('Li Ro Li Co T', 412.9, of);
  assert.equal(Math.round(fourInHand(collars.cutaway)), 4);
  assert.ok(fourInHand(collars.wide) < 1);
  assert.deepEqual([fourInHand(collars.point), fourInHand(collars.semiSpread)], [0, 0]);
  for (const of of Object.values(collars)) assert.equal(beside('Li Co Ri Lo Ci Ro Li Co T', 251.6, of), 0);
});

test('opening a collar never shows less of the band, and a wider band never hides more at the back', () => {
  const { shape } = takeUp(parseKnot('Lo Ri Co T'), tieA, { loopMm, tailMm: 465 });
  fc.assert(
    fc.property(
      fc.integer({ min: 60, max: 130 }),
      fc.integer({ min: 0, max: 18 }),
      fc.integer({ min: 25, max: 60 }),
      (spread, more, band) => {
        const shown = (by: number, bandMm: number) => hiddenBy(collar(spread + by, 8), shape, bandMm);
        assert.ok(shown(more, band).besideMm >= shown(0, band).besideMm - 1e-9);
        assert.ok(shown(0, band + 5).aroundMm <= shown(0, band).aroundMm);
      },
    ),
  );
});

test('a stand that was never taken is as most are', () => {
  const { shape } = takeUp(parseKnot('Li Ro Li Co T'), tieA, { loopMm, tailMm: 412.9 });
  const { standMm } = collarStyles['semi-spread'];
  assert.deepEqual(hiddenBy({ ...collars.cutaway, standMm: null }, shape, 39), hiddenBy({ ...collars.cutaway, standMm }, shape, 39));
});
