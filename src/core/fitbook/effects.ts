/**
 * What a tying may be off by, beyond the formulas, each known by whom or what it belongs to. The first seven are learnt from
 * where tips ended, the rest from how knots came out.
 */
export interface EffectKind {
  /** How far one may lie from the next before any record: one standard deviation, in `unit`. */
  readonly sd: number;
  /** `share` of the take-up or of a knot’s own measure. */
  readonly unit: 'mm' | 'share' | 'degrees';
  readonly label: string;
}

export const effectKinds = {
  client: { sd: 20, unit: 'mm', label: 'the client' },
  hand: { sd: 10, unit: 'mm', label: 'the hand' },
  stylist: { sd: 0.06, unit: 'share', label: 'whoever ties' },
  tie: { sd: 0.07, unit: 'share', label: 'the tie' },
  knot: { sd: 0.08, unit: 'share', label: 'the knot' },
  /** Length of tie above the button’s level while it hangs open around this client’s raised collar. */
  open: { sd: 25, unit: 'mm', label: 'the loop hung open' },
  /** How much longer these hands leave the loop when they cross it. */
  crossed: { sd: 20, unit: 'mm', label: 'the loop crossed' },
  /** Top width and height as shares of what the formulas say, and the lean: each by the tie and by the knot. */
  topTie: { sd: 0.06, unit: 'share', label: 'the tie’s top width' },
  topKnot: { sd: 0.12, unit: 'share', label: 'the knot’s top width' },
  heightTie: { sd: 0.06, unit: 'share', label: 'the tie’s height' },
  heightKnot: { sd: 0.12, unit: 'share', label: 'the knot’s height' },
  leanTie: { sd: 2, unit: 'degrees', label: 'the tie’s lean' },
  leanKnot: { sd: 5, unit: 'degrees', label: 'the knot’s lean' },
} as const satisfies Record<string, EffectKind>;

export type EffectCode = keyof typeof effectKinds;
export const effectCodes = Object.keys(effectKinds) as EffectCode[];

/** How far each kind of effect may be off before any record; a client’s also once a tape was used, and what one tying adds. */
export type Priors = Readonly<Record<EffectCode, number>> & {
  /** One standard deviation of a client whose collar button to belt was measured, mm. */
  readonly clientMeasured: number;
  /** Of one tying and the next, mm. */
  readonly tying: number;
};

export const usualPriors: Priors = {
  ...(Object.fromEntries(effectCodes.map((code) => [code, effectKinds[code].sd])) as Record<EffectCode, number>),
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
