import { type EffectName, type Mix, type Priors, priorSd, usualPriors } from './effects.ts';

/**
 * What is known of a few effects together: the mean of each and how they vary together. An effect that is not in it is as
 * far off as any of its kind. A value: it crosses the wire, and more tyings can be added to it.
 */
export interface Known {
  readonly effects: readonly EffectName[];
  readonly means: readonly number[];
  /** Row after row, of each the entries up to its own place. */
  readonly covariances: readonly number[];
  /** How far effects of each kind lie from one to the next. */
  readonly priors: Priors;
}

/** One tying: what it was made up of, how far it was off, and how far one such tying may be off by itself. */
export interface Observation {
  readonly of: Mix;
  readonly value: number;
  readonly sd: number;
}

export function nothingKnown(priors: Priors = usualPriors): Known {
  return { effects: [], means: [], covariances: [], priors };
}

/** Mean and variance of a mix of effects. */
export function reckon(known: Known, mix: Mix): { readonly mean: number; readonly variance: number } {
  return { mean: meanOf(known, mix), variance: covarianceOf(known, mix, mix) };
}

export function meanOf({ effects, means }: Known, mix: Mix): number {
  return mix.reduce((sum, [name, by]) => sum + by * (means[effects.indexOf(name)] ?? 0), 0);
}

/** How two mixes vary together. */
export function covarianceOf({ effects, covariances, priors }: Known, one: Mix, other: Mix): number {
  let sum = 0;
  for (const [a, byA] of one) {
    const i = effects.indexOf(a);
    for (const [b, byB] of other) {
      const j = i < 0 && a !== b ? -1 : effects.indexOf(b);
      if (i >= 0 && j >= 0) sum += byA * byB * (covariances[(Math.max(i, j) * (Math.max(i, j) + 1)) / 2 + Math.min(i, j)] ?? 0);
      else if (a === b) sum += byA * byB * priorSd(a, priors) ** 2;
    }
  }
  return sum;
}

/** The same once more was seen: each observation in its turn (the exact posterior of normal effects). */
export function after(known: Known, seen: readonly Observation[]): Known {
  return seen.reduce(afterOne, widened(known, seen));
}

/** With every effect that the observations speak of, those that were not in it yet at their priors. */
function widened(known: Known, seen: readonly Observation[]): Known {
  const added = [...new Set(seen.flatMap(({ of }) => of.map(([name]) => name)))].filter((name) => !known.effects.includes(name));
  const before = known.effects.length;
  return {
    ...known,
    effects: [...known.effects, ...added],
    means: [...known.means, ...added.map(() => 0)],
    covariances: [
      ...known.covariances,
      ...added.flatMap((name, i) => [...new Array<number>(before + i).fill(0), priorSd(name, known.priors) ** 2]),
    ],
  };
}

function afterOne(known: Known, { of, value, sd }: Observation): Known {
  const along = known.effects.map((name) => covarianceOf(known, [[name, 1]], of));
  const total = of.reduce((sum, [name, by]) => sum + by * (along[known.effects.indexOf(name)] ?? 0), sd ** 2);
  const surprise = (value - meanOf(known, of)) / total;
  const at = (i: number) => along[i] ?? 0;
  let i = 0;
  let j = -1;
  return {
    ...known,
    means: known.means.map((mean, k) => mean + at(k) * surprise),
    covariances: known.covariances.map((covariance) => {
      if (++j > i) {
        i++;
        j = 0;
      }
      return covariance - (at(i) * at(j)) / total;
    }),
  };
}
