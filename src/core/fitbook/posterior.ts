import { solveByGradients } from '../numeric/sparse/conjugate.ts';
import { eliminate } from '../numeric/sparse/elimination.ts';
import { addSquare, betweenItself, diagonalMatrix, type Sparse, type Symmetric } from '../numeric/sparse/symmetric.ts';
import { codeOf, type EffectName, type Mix, type Priors, priorSd } from './effects.ts';
import type { Known, Observation } from './known.ts';

/** All that observations teach of their effects. */
export interface Posterior {
  /** Mean and variance of a mix of effects; one that no observation spoke of is as far off as any of its kind. */
  readonly reckon: (mix: Mix) => { readonly mean: number; readonly variance: number };
  /** What is known of some effects together, those among them that an observation spoke of. */
  readonly known: (effects: readonly EffectName[]) => Known;
  readonly every: () => readonly LearntEffect[];
  /** Observations taken for blunders, by their place: their word counts for less, the less the further off they are. */
  readonly blunders: readonly { readonly at: number; readonly weight: number; readonly missed: number }[];
  /** How many effects were left to be inverted together. */
  readonly inverted: number;
  /** How far the observations lie around what was learnt, as shares of the variance that each was given; blunders aside. */
  readonly noiseShare: (counted: (at: number) => boolean) => number;
}

export interface LearntEffect {
  readonly name: EffectName;
  readonly mean: number;
  readonly sd: number;
  /** Of how many observations. */
  readonly records: number;
}

/** A miss this many times as far as was to be expected is a blunder (a wrong key, another tie): once in 16 000 by chance. */
const blunderFrom = 4;
const mostRounds = 6;
/** However alone an observation stands, its priors hold it to some extent. */
const mostOwn = 1 - 1e-6;

/** Of effects that nearly every other is tied to. */
const sharedByMany = new Set(['hand', 'stylist', 'knot', 'crossed', 'topKnot', 'bottomKnot', 'heightKnot', 'depthKnot', 'leanKnot']);

/**
 * The exact posterior of normal effects around 0 (best linear unbiased prediction), from observations that are mixes of them
 * with normal noise. Means and variances come from the sparse normal equations; no matrix over all effects is formed.
 * Deterministic: the same observations in the same order give the same figures.
 *
 * Blunders: an observation further than four times its expected spread from what the others say of it has its noise widened
 * with the square of how much too far it lies (so its pull shrinks as it lies further off), and all is learnt anew, until the weights
 * rest. What the others say is reckoned from the effects of that observation alone, as if all else were known.
 */
export function posteriorOf(observations: readonly Observation[], priors: Priors): Posterior {
  const places = new Map<EffectName, number>();
  const counts: number[] = [];
  const variances: number[] = [];
  const placeOf = (name: EffectName) => {
    const known = places.get(name) ?? counts.length;
    if (known === counts.length) {
      places.set(name, known);
      counts.push(0);
      variances.push(priorSd(name, priors) ** 2);
    }
    counts[known] = (counts[known] ?? 0) + 1;
    return known;
  };
  const mixes = observations.map(({ of }): Sparse => ({ at: of.map(([name]) => placeOf(name)), by: of.map(([, by]) => by) }));
  const late = new Set([...places].filter(([name]) => sharedByMany.has(codeOf(name))).map(([, at]) => at));

  // Before anything is learnt, only what lies beyond all that the priors allow is told apart.
  const weights = observations.map(({ of, value, sd }) => {
    const variance = of.reduce((sum, [name, by]) => sum + (by * priorSd(name, priors)) ** 2, sd ** 2);
    return weightOf(value / Math.sqrt(variance));
  });
  let equations = equationsOf();
  for (let round = 0; round < mostRounds && reweigh(equations); round++) equations = equationsOf();
  const eliminated = eliminate(equations.matrix, late);
  const means = eliminated.solve(equations.right);

  const sparseOf = (mix: Mix): Sparse => {
    const there = mix.filter(([name]) => places.has(name));
    return { at: there.map(([name]) => places.get(name) ?? 0), by: there.map(([, by]) => by) };
  };
  const unspoken = (mix: Mix) =>
    mix.filter(([name]) => !places.has(name)).reduce((sum, [name, by]) => sum + (by * priorSd(name, priors)) ** 2, 0);
  const missedBy = (at: number) => (observations[at]?.value ?? 0) - meanOf(means, mixes[at] ?? nothing);

  return {
    inverted: eliminated.together,
    reckon: (mix) => {
      const sparse = sparseOf(mix);
      return { mean: meanOf(means, sparse), variance: eliminated.between(sparse, sparse) + unspoken(mix) };
    },
    known: (wanted) => {
      const effects = wanted.filter((name) => places.has(name));
      const units = effects.map((name) => sparseOf([[name, 1]]));
      return {
        effects,
        means: units.map((unit) => meanOf(means, unit)),
        covariances: units.flatMap((unit, i) => units.slice(0, i + 1).map((other) => eliminated.between(unit, other))),
        priors,
      };
    },
    every: () =>
      [...places].map(([name, at]) => {
        const unit = { at: [at], by: [1] };
        return { name, mean: means[at] ?? 0, sd: Math.sqrt(eliminated.between(unit, unit)), records: counts[at] ?? 0 };
      }),
    blunders: weights.flatMap((weight, at) => (weight < 1 ? [{ at, weight, missed: missedBy(at) }] : [])),
    noiseShare: (counted) => {
      let sum = 0;
      let count = 0;
      mixes.forEach((mix, at) => {
        if ((weights[at] ?? 1) < 1 || !counted(at)) return;
        const { sd } = observations[at] as Observation;
        sum += (missedBy(at) ** 2 + eliminated.between(mix, mix)) / sd ** 2;
        count++;
      });
      return count > 0 ? sum / count : 1;
    },
  };

  function equationsOf(): Equations {
    const matrix = diagonalMatrix(variances.map((variance) => 1 / variance));
    const right = new Float64Array(variances.length);
    mixes.forEach((mix, i) => {
      const { value, sd } = observations[i] as Observation;
      const weight = (weights[i] ?? 1) / sd ** 2;
      addSquare(matrix, mix, weight);
      mix.at.forEach((at, k) => {
        right[at] = (right[at] ?? 0) + weight * (mix.by[k] ?? 0) * value;
      });
    });
    return { matrix, right };
  }

  /** Looks at each observation from where the others put it; whether any weight moved enough to learn anew. */
  function reweigh({ matrix, right }: Equations): boolean {
    const fitted = solveByGradients(matrix, right);
    let moved = false;
    mixes.forEach((mix, i) => {
      const { value, sd } = observations[i] as Observation;
      const before = weights[i] ?? 1;
      const noise = sd ** 2 / before;
      // An observation pulls its own mean along; what the others alone say of it lies further off (deletion residual).
      const own = Math.min(mostOwn, betweenItself(matrix, mix) / noise);
      const without = (value - meanOf(fitted, mix)) / (1 - own);
      const weight = weightOf(without / Math.sqrt(sd ** 2 + (own * noise) / (1 - own)));
      weights[i] = weight;
      moved ||= Math.abs(weight - before) > 0.05 * before;
    });
    return moved;
  }
}

interface Equations {
  readonly matrix: Symmetric;
  readonly right: Float64Array;
}

const nothing: Sparse = { at: [], by: [] };

function weightOf(timesTooFar: number): number {
  const far = Math.abs(timesTooFar);
  return far <= blunderFrom ? 1 : (1 / far) ** 2;
}

function meanOf(means: Float64Array, { at, by }: Sparse): number {
  return at.reduce((sum, place, i) => sum + (by[i] ?? 0) * (means[place] ?? 0), 0);
}
