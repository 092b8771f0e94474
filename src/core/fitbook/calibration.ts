import { codeOf, type EffectName, effectName, type Mix, usualPriors } from './effects.ts';
import { covarianceOf, type Known, meanOf, reckon } from './known.ts';
import { shareMix } from './learn.ts';
import type { ShapeLearnt } from './shapes.ts';

/** A learnt length with how far it may be off (one standard deviation), mm. */
export interface Learnt {
  readonly meanMm: number;
  readonly sdMm: number;
}

/** A share with how far it may be off (one standard deviation). */
export interface LearntShare {
  readonly share: number;
  readonly sd: number;
  /** How it varies together with what moves every tip alike, and with the loops (covariances, mm); apart unless said. */
  readonly along?: { readonly offsetMm: number; readonly openMm: number; readonly crossedMm: number };
}

/** The loops a start is read in, against those that were measured or estimated. */
export interface LoopsLearnt {
  readonly open: Learnt;
  readonly crossed: Learnt;
  /** How each varies together with what moves every tip alike, and both with each other (covariances, mm²). */
  readonly along: { readonly openMm2: number; readonly crossedMm2: number; readonly eachOtherMm2: number };
}

/**
 * What is known of one client, tie, knot and pair of hands beyond the formulas. A value: it stands in the question
 * that is answered and is kept with the answer. Positive lengths: the tip lands so much lower than reckoned.
 */
export interface Calibration {
  /** A knot takes up so much more than the formula says, as a share of it; what is known of single knots goes before. */
  readonly takeUp: LearntShare & { readonly knots?: Readonly<Record<string, LearntShare>> };
  /** The stylist's own way of crossing and drawing up. */
  readonly hand: Learnt;
  /** The client's own drop against the one that was measured or estimated; `sdMm` null: as that one is known. */
  readonly client: { readonly meanMm: number; readonly sdMm: number | null };
  readonly loops?: LoopsLearnt;
  /** How knots of this tie come out, where results were looked at. */
  readonly shape?: ShapeLearnt;
}

const { stylist, tie, knot } = usualPriors;

/** Before any record: the formulas as they stand, with the one prior of how sure they are. */
export const uncalibrated: Calibration = {
  takeUp: { share: 0, sd: Math.hypot(stylist, tie, knot) },
  hand: { meanMm: 0, sdMm: 0 },
  client: { meanMm: 0, sdMm: null },
};

/** The same for one knot, by its canonical moves. */
export function calibrationOf(calibration: Calibration, moves: string): Calibration {
  const known = calibration.takeUp.knots?.[moves];
  return known ? { ...calibration, takeUp: known } : calibration;
}

/** How a tip, reckoned as offset − takeUp · share, varies together with the loops its start may be read in, mm². */
export function alongLoops({ takeUp, loops }: Calibration, takeUpMm: number): { readonly openMm2: number; readonly crossedMm2: number } {
  return {
    openMm2: (loops?.along.openMm2 ?? 0) - takeUpMm * (takeUp.along?.openMm ?? 0),
    crossedMm2: (loops?.along.crossedMm2 ?? 0) - takeUpMm * (takeUp.along?.crossedMm ?? 0),
  };
}

/** Who ties what on whom. */
export interface About {
  readonly stylist: string;
  /** The client’s effect, as its drop is known; `null` where there is no client. */
  readonly client: EffectName | null;
  /** By what the client’s open loop is known. */
  readonly clientId: string;
  readonly tie: string;
  /** How far the loop’s own length may be off, which the plan adds by itself, mm. */
  readonly loopSdMm: number;
  /** How far the drop in use lies from the one that the client’s effect is told against, lower is positive, mm. */
  readonly shiftMm?: number;
}

/** What is known, told of one client, tie and pair of hands as a plan reads it. Knots that nothing was seen of share one figure. */
export function calibrationFrom(known: Known, { stylist, client, clientId, tie, loopSdMm, shiftMm = 0 }: About): Calibration {
  const handMix: Mix = [[effectName('hand', stylist), 1]];
  const seen = (mix: Mix) => mix.some(([name]) => known.effects.includes(name));
  const clientMix: Mix = client !== null && known.effects.includes(client) ? [[client, 1]] : [];
  const offset: Mix = [...clientMix, ...handMix];
  const openMix: Mix = [[effectName('open', clientId), 1]];
  const crossedMix: Mix = [[effectName('crossed', stylist), 1]];
  const share = (moves: string): LearntShare => {
    const mix = shareMix(stylist, tie, moves);
    const { mean, variance } = reckon(known, mix);
    const along = {
      offsetMm: covarianceOf(known, offset, mix),
      openMm: covarianceOf(known, openMix, mix),
      crossedMm: covarianceOf(known, crossedMix, mix),
    };
    return { share: mean, sd: Math.sqrt(variance), ...(Object.values(along).some((value) => value !== 0) && { along }) };
  };
  const knots = known.effects.filter((name) => codeOf(name) === 'knot').map((name) => name.slice('knot/'.length));
  return {
    takeUp: { ...share(''), ...(knots.length > 0 && { knots: Object.fromEntries(knots.map((moves) => [moves, share(moves)])) }) },
    ...offsetsOf(),
    ...(seen([...openMix, ...crossedMix]) && {
      loops: {
        open: learntOf(openMix),
        crossed: learntOf(crossedMix),
        along: {
          openMm2: covarianceOf(known, offset, openMix),
          crossedMm2: covarianceOf(known, offset, crossedMix),
          eachOtherMm2: covarianceOf(known, openMix, crossedMix),
        },
      },
    }),
  };

  function learntOf(mix: Mix): Learnt {
    const { mean, variance } = reckon(known, mix);
    return { meanMm: mean, sdMm: Math.sqrt(variance) };
  }

  /** Client and hand are added as if they were apart, so what they are together is told of the client where that can be. */
  function offsetsOf(): Pick<Calibration, 'hand' | 'client'> {
    const hand = seen(handMix) ? learntOf(handMix) : uncalibrated.hand;
    if (clientMix.length === 0) return { hand, client: uncalibrated.client };
    const together = Math.max(0, reckon(known, offset).variance - loopSdMm ** 2);
    const alone = together >= hand.sdMm ** 2;
    return {
      hand: alone ? hand : { ...hand, sdMm: 0 },
      client: {
        meanMm: meanOf(known, clientMix) + shiftMm,
        sdMm: Math.sqrt(alone ? together - hand.sdMm ** 2 : together),
      },
    };
  }
}
