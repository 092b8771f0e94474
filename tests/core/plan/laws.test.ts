import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { type KnotPlan, type PlanQuestion, plan } from '../../../src/core/index.ts';

const situations = 400;
/** Rates of violation that a law may have over random situations. */
const most = 0.02;

const mm = (min: number, max: number) => fc.integer({ min, max });
const anySituation = fc.record({
  heightMm: mm(1560, 1980),
  neckMm: mm(350, 460),
  lengthMm: mm(1400, 1600),
  bladeMm: mm(52, 98),
  thicknessMm: fc.double({ min: 1.6, max: 4.6, noNaN: true }),
  collarSpreadMm: mm(65, 118),
  collarPointMm: mm(76, 92),
  lapelMm: mm(60, 105),
  waistcoat: fc.boolean(),
  worn: fc.constantFrom('open' as const, 'closed' as const),
});
type Situation = typeof anySituation extends fc.Arbitrary<infer T> ? T : never;

function asked(situation: Situation): PlanQuestion {
  const { heightMm, neckMm, lengthMm, bladeMm, thicknessMm, collarSpreadMm, collarPointMm, lapelMm, waistcoat, worn } = situation;
  return {
    client: { heightMm, neckMm },
    shirt: { collarPointMm, collarSpreadMm, tieSpaceMm: 8 },
    jacket: { lapelMm, waistcoat, worn },
    tie: { lengthMm, bladeMm, thicknessMm },
  };
}

const samples = fc.sample(anySituation, { numRuns: situations, seed: 13 });
const first = (situation: Situation): KnotPlan => plan(asked(situation)).knots[0]!;

function lawHolds(name: string, broken: (situation: Situation) => boolean): void {
  test(name, () => {
    const rate = samples.filter(broken).length / situations;
    assert.ok(rate <= most, `broken in ${(100 * rate).toFixed(1)}% of ${situations} situations`);
  });
}

lawHolds('opening the collar by 30 mm never makes the first pick smaller by more than 1 mm', (situation) => {
  const [before, after] = [first(situation), first({ ...situation, collarSpreadMm: situation.collarSpreadMm + 30 })];
  return before.feasible && after.feasible && after.shape.topMm < before.shape.topMm - 1;
});

lawHolds('fabric thicker by 1.2 mm never asks for more moves', (situation) => {
  const [before, after] = [first(situation), first({ ...situation, thicknessMm: situation.thicknessMm + 1.2 })];
  return before.feasible && after.feasible && after.properties.moves > before.properties.moves;
});

lawHolds('a knot of eight or more moves is not first on fabric over 3.8 mm where a smaller one works', (situation) => {
  const { knots } = plan(asked({ ...situation, thicknessMm: Math.max(3.81, situation.thicknessMm) }));
  return knots[0]!.properties.moves >= 8 && knots.some(({ feasible, properties }) => feasible && properties.moves < 8);
});

test('the tail of a first pick never hangs more than 40 mm below the blade, whatever hides it', () => {
  let lower = 0;
  for (const situation of samples) {
    const { feasible, tail, tip } = first(situation);
    if (!feasible) continue;
    if (tail.dropMm > tip.dropMm) lower++;
    assert.ok(tail.dropMm - tip.dropMm <= 40);
  }
  assert.ok(lower > 0, 'some of them hang below it');
});

lawHolds('a first pick carries no verdict against it that the second does not', (situation) => {
  const { knots } = plan(asked(situation));
  const [pick] = knots;
  const name = ({ properties, moves }: KnotPlan) => properties.family ?? moves;
  const second = knots.find((other) => name(other) !== name(pick!));
  const against = ({ reasons }: KnotPlan) => reasons.filter(({ verdict }) => verdict === 'poor').map(({ code }) => code);
  return pick!.feasible && second!.feasible && against(pick!).some((code) => !against(second!).includes(code));
});
