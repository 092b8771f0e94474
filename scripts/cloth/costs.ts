import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import type { Knot } from '../../src/core/knot/knot.ts';
import type { Tie } from '../../src/core/tie/tie.ts';
import { bundleOf, type Costs, usualCosts } from '../../src/core/tying/bundle.ts';
import { windingOf } from '../../src/core/tying/winding.ts';

/** A knot of the blade, the tie and the start it was tied from, and the cloth it took up, mm. */
export interface TakenUp {
  readonly knot: Knot;
  readonly tie: Tie;
  readonly loopMm: number;
  readonly standingMm: number;
  readonly takeUpMm: number;
}

/** What can be let free of the formula of take-up, ever more of it. */
export const freedoms = ['nothing', 'the level', 'both rounds', 'rounds and width share'] as const;
export type Freed = (typeof freedoms)[number];

interface Fitted extends Costs {
  /** What all of it is multiplied by. */
  readonly level: number;
}

const asTheyStand: Fitted = { level: 1, ...usualCosts };

const parameters: Readonly<Record<Freed, { readonly from: readonly number[]; readonly of: (values: readonly number[]) => Fitted }>> = {
  nothing: { from: [], of: () => asTheyStand },
  'the level': { from: [1], of: ([level = 1]) => ({ ...asTheyStand, level }) },
  'both rounds': { from: [1, 1], of: ([hanging = 1, arms = 1]) => ({ ...asTheyStand, hanging, arms }) },
  'rounds and width share': {
    from: [1, 1, usualCosts.widthShare],
    of: ([hanging = 1, arms = 1, widthShare = usualCosts.widthShare]) => ({ level: 1, hanging, arms, widthShare }),
  },
};

/** Costs under which the formula comes nearest to what was taken up: least squares of the logarithms. */
export function fitCosts(all: readonly TakenUp[], freed: Freed): Fitted {
  const { from, of } = parameters[freed];
  if (from.length === 0) return of([]);
  const { parameterValues } = levenbergMarquardt(
    { x: all.map((_, i) => i), y: all.map(({ takeUpMm }) => Math.log(takeUpMm)) },
    (values) => {
      const fitted = of(values);
      return (i) => {
        const each = all[i];
        return each ? Math.log(takenUpUnder(fitted, each)) : Number.NaN;
      };
    },
    { initialValues: [...from], damping: 0.01, gradientDifference: 1e-4, maxIterations: 60, errorTolerance: 1e-10 },
  );
  return of(parameterValues);
}

/** Root mean square of what the formula is off by, as a share. */
export function residual(all: readonly TakenUp[], fitted: Fitted): number {
  return rootMeanSquare(all.map((each) => Math.log(takenUpUnder(fitted, each) / each.takeUpMm)));
}

/** The same, of words that had no part in the fit: each `of`th word is left out in its turn. */
export function heldOutResidual(all: readonly TakenUp[], freed: Freed, of: number): number {
  const words = [...new Set(all.map(({ knot }) => knot))];
  return rootMeanSquare(
    Array.from({ length: of }, (_, part) => {
      const isOut = ({ knot }: TakenUp) => words.indexOf(knot) % of === part;
      const fitted = fitCosts(
        all.filter((each) => !isOut(each)),
        freed,
      );
      return all.filter(isOut).map((each) => Math.log(takenUpUnder(fitted, each) / each.takeUpMm));
    }).flat(),
  );
}

function takenUpUnder(fitted: Fitted, { knot, tie, loopMm, standingMm }: TakenUp): number {
  return fitted.level * bundleOf(windingOf(knot), tie, { loopMm, standingMm }, fitted).takeUpMm;
}

function rootMeanSquare(values: readonly number[]): number {
  return Math.sqrt(values.reduce((sum, value) => sum + value * value, 0) / values.length);
}
