import type { FabricCode } from './fabrics.ts';
import type { PatternCode } from './patterns.ts';

/** A width measured somewhere along the tie, counted from the blade's tip. */
export interface WidthAt {
  readonly atMm: number;
  readonly widthMm: number;
}

export const tieEnds = {
  pointed: { label: 'pointed' },
  square: { label: 'square' },
} as const;
export type TieEnds = keyof typeof tieEnds;

/** A long necktie as it lies flat. Positions are counted along it from the blade's tip. */
export interface Tie {
  readonly lengthMm: number;
  readonly bladeMm: number;
  /** Width at the narrowest part, under the collar. */
  readonly neckMm: number;
  /** Where the narrowest part is, from the blade's tip. */
  readonly neckAtMm: number;
  readonly tailMm: number;
  /** Both layers and the interlining, pinched at mid-blade. */
  readonly thicknessMm: number;
  /** Where the keeper loop is sewn, from the blade's tip. */
  readonly keeperMm: number;
  readonly fabric: FabricCode;
  readonly pattern: PatternCode;
  /** A crest or single motif sits so far from the blade's tip; `null` where there is none, or all over. */
  readonly motifMm?: number | null;
  /** As the cloth usually has them where it is not said. */
  readonly ends?: TieEnds;
  /** Widths measured between blade and tail; where there are none the taper is straight. */
  readonly profile?: readonly WidthAt[];
}

export type LongTie = Tie & { readonly kind: 'long-tie' };

/** What is worn at the neck, told apart by `kind`. */
export type Neckwear = LongTie;
export type NeckwearKind = Neckwear['kind'];

export const neckwearKinds: readonly NeckwearKind[] = ['long-tie'];

/** What a stylist always knows of a tie; the rest can be estimated from it. */
export type KnownOfTie = Pick<Tie, 'lengthMm' | 'bladeMm' | 'thicknessMm'> & Partial<LongTie>;

const neckShareOfBlade = 0.43;
const tailShareOfBlade = 0.58;
const neckShareOfLength = 0.572;
const usualKeeperMm = 230;

/** Fills in the proportions most ties share where they were not measured. */
export function supposeTie(known: KnownOfTie): LongTie {
  return {
    kind: 'long-tie',
    neckMm: Math.round(known.bladeMm * neckShareOfBlade),
    neckAtMm: Math.round(known.lengthMm * neckShareOfLength),
    tailMm: Math.round(known.bladeMm * tailShareOfBlade),
    keeperMm: usualKeeperMm,
    fabric: 'woven-silk',
    pattern: 'solid',
    ...withoutUndefined(known),
  };
}

function withoutUndefined<T extends object>(record: T): T {
  return Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined)) as T;
}
