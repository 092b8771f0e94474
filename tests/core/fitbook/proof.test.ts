import assert from 'node:assert/strict';
import test from 'node:test';
import { meanOf, proveFitBook } from '../../../scripts/proof/proveFitBook.ts';

const sizes = { clients: 60, ties: 40, knots: 8, people: 5, tyings: 400, every: 40 };

test('in a studio whose truths the book never sees, first tries come near those of one who knows them, and the bands hold', () => {
  for (const seed of [3, 17]) {
    const run = proveFitBook({ ...sizes, seed, stands: false });
    const late = run.slice(-4);
    const gained = meanOf(late, 'bookWithin') - meanOf(late, 'formulaWithin');
    assert.ok(gained > 0.2, `${gained}`);
    assert.ok(meanOf(late, 'bookMm') < 0.6 * meanOf(late, 'formulaMm'));
    assert.ok(meanOf(late, 'bookMm') < 1.6 * meanOf(late, 'oracleMm'));
    const band = meanOf(run, 'band');
    assert.ok(band > 0.85 && band < 0.95, `${band}`);
  }
});

test('one minute a tie at a stand makes the first tries better before anyone was fitted', () => {
  const first = (stands: boolean) => [3, 17, 29].map((seed) => meanOf(proveFitBook({ ...sizes, tyings: 120, seed, stands }), 'bookMm'));
  const mean = (of: readonly number[]) => of.reduce((sum, each) => sum + each, 0) / of.length;
  assert.ok(mean(first(true)) < 0.92 * mean(first(false)), `${first(true)} for ${first(false)}`);
});
