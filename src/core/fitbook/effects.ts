/**
 * What a tying may be off by, beyond the formulas, each known by whom or what it belongs to, and how far one may lie from the
 * next before any record: one standard deviation. The first seven are learnt from where tips ended, the rest from how knots
 * came out; client, hand and loops in mm, the lean in degrees, all others as shares of what the formulas say.
 */
const usualSds = {
  client: 20,
  hand: 10,
  stylist: 0.06,
  tie: 0.07,
  knot: 0.08,
  /** Length of tie above the button’s level while it hangs open around this client’s raised collar. */
  open: 25,
  /** How much longer these hands leave the loop when they cross it. */
  crossed: 20,
  /**
   * How knots come out, each by the tie and by the knot: top width, bottom beyond what the width makes of it, height and depth as
   * shares of what the formulas say, and the lean. The formulas suppose a knot pressed flat, so its depth is known least.
   */
  topTie: 0.06,
  topKnot: 0.12,
  bottomTie: 0.06,
  bottomKnot: 0.12,
  heightTie: 0.06,
  heightKnot: 0.12,
  depthTie: 0.15,
  depthKnot: 0.35,
  leanTie: 2,
  leanKnot: 5,
} as const satisfies Record<string, number>;

export type EffectCode = keyof typeof usualSds;

/** How far each kind of effect may be off before any record; a client’s also once a tape was used, and what one tying adds. */
export type Priors = Readonly<Record<EffectCode, number>> & {
  /** One standard deviation of a client whose collar button to belt was measured, mm. */
  readonly clientMeasured: number;
  /** Of one tying and the next, mm. */
  readonly tying: number;
};

export const usualPriors: Priors = {
  ...usualSds,
  clientMeasured: 6,
  tying: 10,
};

/** One effect of one client, hand, tie or knot, as it is called wherever effects are kept side by side. */
export type EffectName = `${EffectCode}/${string}`;

export function effectName(code: EffectCode, id: string): EffectName {
  return `${code}/${id}`;
}

export function codeOf(name: EffectName): EffectCode {
  return name.slice(0, name.indexOf('/')) as EffectCode;
}

/** Effects with what each moves the outcome by. */
export type Mix = readonly (readonly [effect: EffectName, by: number])[];

/** A client’s drop that a tape took is off by something else than one that was estimated. */
export function clientEffect(client: string, dropMeasured: boolean): EffectName {
  return effectName('client', dropMeasured ? `${client}${measured}` : client);
}

const measured = '/measured';

/** How far an effect may be off before any record, one standard deviation. */
export function priorSd(name: EffectName, priors: Priors): number {
  const code = codeOf(name);
  return code === 'client' && name.endsWith(measured) ? priors.clientMeasured : priors[code];
}
