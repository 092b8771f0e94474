import { codeOf, type EffectCode, type Priors, usualPriors } from './effects.ts';
import { type LearnRecord, observationsOf } from './learn.ts';
import { type LearntEffect, posteriorOf } from './posterior.ts';

/** Before so many records the usual spreads are better than what so few say. */
export const enoughRecords = 300;
/** Nor is a kind of effect asked how far apart it lies before so many of it were seen at least twice. */
const enoughOfAKind = 8;
/** More say hardly more of the spreads, and would take longer. */
const mostRecords = 3000;
const rounds = 20;
/** The usual spreads count as so many more effects, and as so many more tyings. */
const priorEffects = 4;
const priorTyings = 40;

/** The spreads of these are asked of the records; widths, heights and leans are seen too seldom. */
const asked = ['client', 'hand', 'stylist', 'tie', 'knot'] as const satisfies readonly EffectCode[];

/**
 * How far clients, hands, ties and knots lie apart in this studio, and one tying from the next: expectation–maximisation for
 * variance components (each spread becomes the mean square of its effects, their own uncertainty with them), held to the usual
 * spreads by a few pseudo-effects. From `enoughRecords` records on; of more than 3000, the latest are asked. Deterministic.
 */
export function spreadsFrom(records: readonly LearnRecord[], usual: Priors = usualPriors): Priors {
  if (records.length < enoughRecords) return usual;
  const latest = records.slice(-mostRecords);
  let priors = usual;
  for (let round = 0; round < rounds; round++) {
    const posterior = posteriorOf(observationsOf(latest, priors), priors);
    const every = posterior.every();
    const found = Object.fromEntries(asked.map((code) => [code, spreadOf(every, code, usual[code], priors[code])]));
    const tyings = latest.filter(({ noiseMm }) => noiseMm === undefined).length;
    const share = posterior.noiseShare((at) => at < latest.length && latest[at]?.noiseMm === undefined);
    const tying = Math.sqrt((share * priors.tying ** 2 * tyings + usual.tying ** 2 * priorTyings) / (tyings + priorTyings));
    const measured = spreadOf(every, 'client', usual.clientMeasured, priors.clientMeasured, true);
    priors = { ...priors, ...found, clientMeasured: measured, tying };
  }
  return priors;
}

function spreadOf(every: readonly LearntEffect[], code: EffectCode, usual: number, now: number, measured = false): number {
  const ofKind = every.filter(({ name }) => codeOf(name) === code && (code !== 'client' || name.endsWith('/measured') === measured));
  const seenAgain = ofKind.filter(({ records }) => records > 1);
  if (seenAgain.length < enoughOfAKind) return now;
  const squares = ofKind.reduce((sum, { mean, sd }) => sum + mean ** 2 + sd ** 2, 0);
  return Math.sqrt((squares + priorEffects * usual ** 2) / (ofKind.length + priorEffects));
}
