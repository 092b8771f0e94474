import assert from 'node:assert/strict';
import test from 'node:test';
import { firstIn, rankingLaws, situations } from '../../support/rankingLaws.ts';

const count = 400;
/** Rates of violation that a law may have over random situations. */
const most = 0.02;
const samples = situations(count, 13);

for (const [law, broken] of Object.entries(rankingLaws)) {
  test(law, () => {
    const rate = samples.filter(broken).length / count;
    assert.ok(rate <= most, `broken in ${(100 * rate).toFixed(1)}% of ${count} situations`);
  });
}

test('the situations are such that the laws are put to the test', () => {
  const firsts = samples.map(firstIn);
  assert.ok(firsts.filter(({ feasible }) => feasible).length > count / 2);
  assert.ok(
    firsts.some(({ feasible, tail, tip }) => feasible && tail.dropMm > tip.dropMm),
    'some tails hang below the blade',
  );
});
