import assert from 'node:assert/strict';
import test from 'node:test';
import { fitCosts, heldOutResidual, residual, type TakenUp } from '../../../scripts/cloth/costs.ts';
import { randomFrom } from '../../../src/core/cloth/mesh/random.ts';
import { referenceTie } from '../../../src/core/cloth/reference.ts';
import { enumerateKnots } from '../../../src/core/index.ts';
import { bundleOf, type Costs } from '../../../src/core/tying/bundle.ts';
import { windingOf } from '../../../src/core/tying/winding.ts';

const loopMm = 420;

/** Knots on two ties whose take-up is what the formula gives under other costs, each off by up to a share. */
function takenUpUnder(costs: Costs, level: number, noise: number): TakenUp[] {
  const random = randomFrom(7);
  return enumerateKnots(7).flatMap((knot) =>
    [2.4, 4.2].map((thicknessMm) => {
      const tie = { ...referenceTie, thicknessMm };
      const standingMm = 300;
      const { takeUpMm } = bundleOf(windingOf(knot), tie, { loopMm, standingMm }, costs);
      return { knot, tie, loopMm, standingMm, takeUpMm: level * takeUpMm * (1 + noise * (2 * random() - 1)) };
    }),
  );
}

test('costs that made the take-ups are found again', () => {
  const costs = { hanging: 0.8, arms: 1.3, widthShare: 0.42 };
  const all = takenUpUnder(costs, 1, 0);
  const fitted = fitCosts(all, 'both rounds');
  assert.ok(Math.abs(fitted.hanging - 0.8) < 0.005 && Math.abs(fitted.arms - 1.3) < 0.005, JSON.stringify(fitted));
  assert.ok(residual(all, fitted) < 0.002);
  const freer = fitCosts(takenUpUnder({ ...costs, widthShare: 0.6 }, 1, 0), 'rounds and width share');
  assert.ok(Math.abs(freer.widthShare - 0.6) < 0.01 && Math.abs(freer.arms - 1.3) < 0.02, JSON.stringify(freer));
});

test('a level that is off is found, and what is left over is the noise', () => {
  const all = takenUpUnder({ hanging: 1, arms: 1, widthShare: 0.42 }, 0.9, 0.1);
  const fitted = fitCosts(all, 'the level');
  assert.ok(Math.abs(fitted.level - 0.9) < 0.03, `${fitted.level}`);
  // Even noise between the bounds has a root mean square of the bound over the root of three.
  assert.ok(Math.abs(residual(all, fitted) - 0.1 / Math.sqrt(3)) < 0.015);
  assert.ok(residual(all, fitCosts(all, 'nothing')) > residual(all, fitted));
});

test('words left out are told no better than those that were fitted', () => {
  const all = takenUpUnder({ hanging: 0.8, arms: 1.3, widthShare: 0.42 }, 1, 0.15);
  for (const freed of ['the level', 'both rounds', 'rounds and width share'] as const)
    assert.ok(heldOutResidual(all, freed, 5) > residual(all, fitCosts(all, freed)), freed);
});
