import { referenceTie, referenceTying } from '../../src/core/cloth/reference.ts';
import { tieInCloth } from '../../src/core/cloth/tieInCloth.ts';
import { enumerateKnots, formatKnot, type Knot, takeUp } from '../../src/core/index.ts';
import { type ClothMeasures, measureCloth } from '../../src/core/seen/measure.ts';
import type { Tie } from '../../src/core/tie/tie.ts';
import { fitCosts, freedoms, heldOutResidual, residual, type TakenUp } from './costs.ts';
import { studied } from './study.ts';

const bladesMm = [60, 78, 96] as const;
const thicknessesMm = [2.4, 3.2, 4.2] as const;
const startsMm = [240, 420] as const;
const othersEvery = 6;
const loopMm = 420;

/** The words that are named, and every sixth of the others. */
const words: readonly Knot[] = (() => {
  const all = enumerateKnots(9);
  const named = all.filter((knot) => studied.includes(formatKnot(knot)));
  return [...named, ...all.filter((knot) => !named.includes(knot)).filter((_, i) => i % othersEvery === 0)];
})();

interface Cell {
  readonly word: number;
  readonly bladeMm: number;
  readonly thicknessMm: number;
  readonly standingMm: number;
}

const cells: readonly Cell[] = words.flatMap((_, word) =>
  bladesMm.flatMap((bladeMm) =>
    thicknessesMm.flatMap((thicknessMm) => startsMm.map((standingMm) => ({ word, bladeMm, thicknessMm, standingMm }))),
  ),
);

export interface Refitted extends Cell {
  /** `undefined` where the knot was refused. */
  readonly measures: ClothMeasures | undefined;
}

/** Ties every `of`th cell of the grid words × blade × thickness × start from the `part`th on; each lies a hair differently at first. */
export function refitPart(part: number, of: number, told: (refitted: Refitted) => void): void {
  cells.forEach((cell, i) => {
    if (i % of !== part) return;
    const knot = words[cell.word];
    if (!knot) return;
    const tied = tieInCloth({ ...referenceTying(knot), tie: tieOf(cell), loopMm, standingMm: cell.standingMm, seed: 10 * (i + 1) });
    told({ ...cell, measures: tied.kind === 'tied' ? measureCloth(tied.mesh) : undefined });
  });
}

/** A tie of this blade and thickness, in the reference tie's proportions. */
function tieOf({ bladeMm, thicknessMm }: Cell): Tie {
  const share = bladeMm / referenceTie.bladeMm;
  return { ...referenceTie, bladeMm, thicknessMm, neckMm: share * referenceTie.neckMm, tailMm: share * referenceTie.tailMm };
}

/** How near the formulas come to the grid: as they stand, and with some of them let free. */
export function tellRefit(all: readonly Refitted[]): void {
  const tied = all.flatMap((cell) => {
    const knot = words[cell.word];
    return knot && cell.measures ? [{ ...cell, knot, measures: cell.measures }] : [];
  });
  console.log(
    `${tied.length} of ${cells.length} tied: ${words.length} words, blades ${bladesMm.join(', ')}, thickness ${thicknessesMm.join(', ')}, starts ${startsMm.join(', ')} mm`,
  );
  const taken: readonly TakenUp[] = tied.map(({ knot, measures, ...cell }) => ({
    knot,
    tie: tieOf(cell),
    loopMm,
    standingMm: cell.standingMm,
    takeUpMm: measures.takeUpMm,
  }));
  for (const freed of freedoms) {
    const fitted = fitCosts(taken, freed);
    const numbers = Object.entries(fitted).map(([name, value]) => `${name} ${value.toFixed(3)}`);
    console.log(
      `take-up, ${freed} free: residual ${percent(residual(taken, fitted))}, words left out ${percent(heldOutResidual(taken, freed, 6))}; ${numbers.join(', ')}`,
    );
  }
  const ratios = tied.map((each) => {
    const { takeUpMm, shape } = takeUp(each.knot, tieOf(each), { loopMm, tailMm: each.standingMm });
    const { measures } = each;
    return {
      ...each,
      'take-up': measures.takeUpMm / takeUpMm,
      top: measures.topMm / shape.topMm,
      bottom: measures.bottomMm / shape.bottomMm,
      height: measures.heightMm / shape.heightMm,
      depth: measures.depthMm / shape.depthMm,
    };
  });
  for (const key of ['take-up', 'top', 'bottom', 'height', 'depth'] as const) {
    const by = (of: 'bladeMm' | 'thicknessMm' | 'standingMm') =>
      [...new Set(ratios.map((each) => each[of]))]
        .map(
          (value) =>
            `${value}: ${meanOf(
              ratios.filter((each) => each[of] === value),
              key,
            )}`,
        )
        .join(' ');
    console.log(
      `${key} over the formula’s: ${meanOf(ratios, key)}; by blade ${by('bladeMm')}; thickness ${by('thicknessMm')}; start ${by('standingMm')}`,
    );
  }
}

function meanOf<Key extends string>(all: readonly Readonly<Record<Key, number>>[], key: Key): string {
  const mean = all.reduce((sum, each) => sum + each[key], 0) / all.length;
  const spread = Math.sqrt(all.reduce((sum, each) => sum + (each[key] - mean) ** 2, 0) / all.length);
  return `${mean.toFixed(2)} ± ${spread.toFixed(2)}`;
}

function percent(share: number): string {
  return `${(100 * share).toFixed(1)} %`;
}
