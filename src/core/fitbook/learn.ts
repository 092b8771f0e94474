import { clientEffect, type EffectName, effectName, type Mix, type Priors, usualPriors } from './effects.ts';
import type { Known, Observation } from './known.ts';
import { type LearntEffect, posteriorOf } from './posterior.ts';
import type { ShapePart } from './shapes.ts';

/** A tying whose outcome is known, against what the formulas alone said of it. */
export interface LearnRecord {
  readonly stylist: string;
  /** `null` where nobody wore it: tied on a stand. */
  readonly client: string | null;
  readonly tie: string;
  /** The knot’s canonical moves. */
  readonly knot: string;
  /** What the formulas had the knot take up; 0 where its blade hung at its length from the first. */
  readonly takeUpMm: number;
  /** How much lower than reckoned the blade’s tip ended, mm. */
  readonly tipErrorMm: number;
  /** Whether the client’s collar button to belt was measured with a tape. */
  readonly dropMeasured: boolean;
  /** How far one such tying may be off by itself, mm; the usual repeatability unless said otherwise. */
  readonly noiseMm?: number;
  /** By how much the tip moves for a millimetre of the loop it was read in, hung open or crossed; 0 unless said otherwise. */
  readonly openBy?: number;
  readonly crossedBy?: number;
  /** How the knot came out, where it was measured: its size against the formulas’ as shares beyond it, and degrees of lean beyond theirs. */
  readonly top?: number | null;
  readonly bottom?: number | null;
  readonly height?: number | null;
  readonly depth?: number | null;
  readonly leanDeg?: number | null;
}

/** The next tying that is asked about. */
export type NextTying = Pick<LearnRecord, 'stylist' | 'client' | 'tie' | 'knot' | 'takeUpMm' | 'dropMeasured'> &
  Pick<LearnRecord, 'openBy' | 'crossedBy'>;

export interface Prediction {
  /** How much lower than reckoned the next tip should end, mm. */
  readonly meanMm: number;
  /** How far it may miss that, one tying’s own noise with it (one standard deviation), mm. */
  readonly sdMm: number;
}

/** All that a studio’s records teach. */
export interface FitBook {
  readonly predict: (next: NextTying) => Prediction;
  /** What is known of some effects together: all that is needed for one client, hand and the ties at reach. */
  readonly known: (effects: readonly EffectName[]) => Known;
  /** Every effect that a record spoke of. */
  readonly every: () => readonly LearntEffect[];
  /** Records whose tip was taken for a blunder, by their place, with how far off they lie. */
  readonly blunders: readonly { readonly at: number; readonly weight: number; readonly missedMm: number }[];
  readonly records: number;
  /** How many effects were left to be inverted together. */
  readonly inverted: number;
  readonly priors: Priors;
}

/** How well a knot is measured against a rule, as a share of it, and its lean by eye, degrees. */
const looked = { top: 0.05, bottom: 0.08, height: 0.08, depth: 0.1, leanDeg: 3 } as const;

/**
 * What recorded tyings teach, all at once:
 *
 *   error = client + hand − takeUp · (stylist + tie + knot) + what the loop it was read in was off by + noise
 *
 * with all effects normal around 0 and as far apart as `priors` say (`posteriorOf` says how it is solved, and what becomes of
 * blunders); size and lean are the sum of what is the tie’s and what is the knot’s. Pure.
 */
export function learn(records: readonly LearnRecord[], priors: Priors = usualPriors): FitBook {
  const { reckon, known, every, blunders, inverted } = posteriorOf(observationsOf(records, priors), priors);
  return {
    priors,
    records: records.length,
    inverted,
    known,
    every,
    predict: (next) => {
      const { mean, variance } = reckon(tipMix(next));
      return { meanMm: mean, sdMm: Math.sqrt(variance + priors.tying ** 2) };
    },
    blunders: blunders.filter(({ at }) => at < records.length).map(({ at, weight, missed }) => ({ at, weight, missedMm: missed })),
  };
}

/** Where the tips ended, record by record, and after them how the knots came out. */
export function observationsOf(records: readonly LearnRecord[], priors: Priors): Observation[] {
  return [
    ...records.map((record) => ({ of: tipMix(record), value: record.tipErrorMm, sd: record.noiseMm ?? priors.tying })),
    ...records.flatMap(({ top, bottom, height, depth, leanDeg, tie, knot }) => [
      ...seen(top, shapeMix('top', tie, knot), looked.top),
      // A wider knot is wider below as well.
      ...seen(bottom, [...shapeMix('top', tie, knot), ...shapeMix('bottom', tie, knot)], looked.bottom),
      ...seen(height, shapeMix('height', tie, knot), looked.height),
      ...seen(depth, shapeMix('depth', tie, knot), looked.depth),
      ...seen(leanDeg, shapeMix('lean', tie, knot), looked.leanDeg),
    ]),
  ];
}

function seen(value: number | null | undefined, of: Mix, sd: number): Observation[] {
  return value === null || value === undefined ? [] : [{ of, value, sd }];
}

/** What one tip is made up of. */
export function tipMix({ stylist, client, tie, knot, takeUpMm, dropMeasured, openBy = 0, crossedBy = 0 }: NextTying): Mix {
  return [
    ...(client === null ? [] : [[clientEffect(client, dropMeasured), 1] as const]),
    [effectName('hand', stylist), 1],
    ...(takeUpMm === 0 ? [] : shareMix(stylist, tie, knot, -takeUpMm)),
    ...(client === null || openBy === 0 ? [] : [[effectName('open', client), openBy] as const]),
    ...(crossedBy === 0 ? [] : [[effectName('crossed', stylist), crossedBy] as const]),
  ];
}

/** What a knot takes up beyond the formula, as a share. */
export function shareMix(stylist: string, tie: string, knot: string, by = 1): Mix {
  return [
    [effectName('stylist', stylist), by],
    [effectName('tie', tie), by],
    [effectName('knot', knot), by],
  ];
}

/** How a knot comes out beyond the formulas. */
export function shapeMix(measure: ShapePart, tie: string, knot: string): Mix {
  return [
    [effectName(`${measure}Tie`, tie), 1],
    [effectName(`${measure}Knot`, knot), 1],
  ];
}
