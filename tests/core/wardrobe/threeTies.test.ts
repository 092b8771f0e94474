import assert from 'node:assert/strict';
import test from 'node:test';
import { plan } from '../../../src/core/index.ts';
import { buyingBrief } from '../../../src/core/wardrobe/buyingBrief.ts';
import type { Outfit } from '../../../src/core/wardrobe/judgeTie.ts';
import { threeTies } from '../../../src/core/wardrobe/threeTies.ts';
import { question } from '../../support/ties.ts';

const { tie: _, ...dressed } = question;
const outfit: Outfit = { question: dressed, shirtColour: '#ffffff' };
const brief = buyingBrief(outfit);
const ties = threeTies(outfit, brief);

test('three ties of the window, each of which really does what it says', () => {
  assert.deepEqual(
    ties.map(({ kind }) => kind),
    ['best', 'slimmer', 'broader'],
  );
  for (const { tie, lengthMm, best } of ties) {
    assert.ok(tie.lengthMm >= lengthMm.min && tie.lengthMm <= lengthMm.max);
    const cell = brief.cells.find(({ bladeMm, thicknessMm }) => bladeMm === tie.bladeMm && thicknessMm === tie.thicknessMm);
    assert.deepEqual(cell?.lengthMm, lengthMm, 'it lies in the window');
    const [again] = plan({ ...dressed, tie }).knots;
    assert.deepEqual([again?.moves, again?.feasible], [best.moves, true]);
  }
  const [best, slimmer, broader] = ties.map(({ tie }) => tie.bladeMm) as [number, number, number];
  assert.ok(slimmer <= best - 6 && broader >= best + 6);
});

test('they are such as shops have', () => {
  for (const { tie } of ties) assert.ok(tie.thicknessMm > 1.9 && tie.thicknessMm < 4.2, `${tie.thicknessMm} mm`);
});

test('where no tie would serve, none is asked for', () => {
  const none: Outfit = { question: { ...dressed, jacket: { lapelMm: 160 } }, shirtColour: null };
  assert.deepEqual(threeTies(none, buyingBrief(none)), []);
});
