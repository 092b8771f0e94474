import { type Hands, usualHands } from '../../src/core/cloth/forces/fingers.ts';
import { referenceTying } from '../../src/core/cloth/reference.ts';
import { usualSetting } from '../../src/core/cloth/simulate.ts';
import { tieInCloth } from '../../src/core/cloth/tieInCloth.ts';
import { parseKnot } from '../../src/core/index.ts';
import { measureCloth } from '../../src/core/seen/measure.ts';

const figures = ['topMm', 'bottomMm', 'heightMm', 'depthMm'] as const;
type Figures = Readonly<Record<(typeof figures)[number], number>>;
type Range = readonly [from: number, to: number];

/** What real ties as wide and thick as the reference tie measure once they are tied, mm, as handled. */
const handled: Readonly<Record<string, Readonly<Record<keyof Figures, Range>>>> = {
  'Li Ro Li Co T': { topMm: [40, 45], bottomMm: [25, 30], heightMm: [45, 50], depthMm: [18, 25] },
  'Li Co Ri Lo Ci Ro Li Co T': { topMm: [55, 65], bottomMm: [32, 40], heightMm: [45, 50], depthMm: [25, 32] },
};

const tried: readonly Hands[] = [1.8, 2.1, 2.4].flatMap((squeezeMm) =>
  [0.011, 0.014, 0.018].map((pressMm) => ({ ...usualHands, squeezeMm, pressMm })),
);
const seeds = [0, 10] as const;

export interface Calibrated {
  readonly hands: Hands;
  readonly word: string;
  /** Means over the starts that came out clean. */
  readonly measures: Figures;
}

/** Ties the handled knots with every `of`th of the hands from the `part`th on, from starts that differ by a hair. */
export function calibratePart(part: number, of: number, told: (calibrated: Calibrated) => void): void {
  tried.forEach((hands, i) => {
    if (i % of !== part) return;
    for (const word of Object.keys(handled)) {
      const knot = parseKnot(word);
      const all = seeds.flatMap((seed) => {
        const request = { ...referenceTying(knot), seed };
        const tied = tieInCloth(request, { ...usualSetting(request), hands });
        return tied.kind === 'tied' ? [measureCloth(tied.mesh)] : [];
      });
      if (all.length === 0) continue;
      const mean = (key: keyof Figures) => all.reduce((sum, each) => sum + each[key], 0) / all.length;
      const [topMm, bottomMm, heightMm, depthMm] = figures.map(mean) as [number, number, number, number];
      told({ hands, word, measures: { topMm, bottomMm, heightMm, depthMm } });
    }
  });
}

/**
 * Tells what each pair of hands makes of the handled knots, from the best fit on: how far off the middles of their ranges, in halves of
 * those. Hands that tie one of them cleanly from no start come last.
 */
export function tellCalibration(all: readonly Calibrated[]): void {
  const fits = tried.map((hands) => {
    const made = all.filter((each) => each.hands.squeezeMm === hands.squeezeMm && each.hands.pressMm === hands.pressMm);
    const off = made.flatMap(({ word, measures }) =>
      figures.map((key) => {
        const [from, to] = handled[word]?.[key] ?? [0, 0];
        return (2 * (measures[key] - (from + to) / 2)) / (to - from);
      }),
    );
    const isWhole = made.length === Object.keys(handled).length;
    return {
      hands,
      made,
      rms: isWhole ? Math.sqrt(off.reduce((sum, each) => sum + each * each, 0) / off.length) : Number.POSITIVE_INFINITY,
    };
  });
  for (const { hands, made, rms } of fits.toSorted((a, b) => a.rms - b.rms)) {
    const told = made.map(({ word, measures }) => `${word} ${figures.map((key) => measures[key].toFixed(0)).join('/')}`);
    const off = Number.isFinite(rms) ? `off by ${rms.toFixed(2)} of half a range` : 'not every knot came out clean';
    console.log(`squeeze ${hands.squeezeMm} press ${hands.pressMm}: ${off}; ${told.join('; ')}`);
  }
}
