import { type FrontCode, type Taking, usualBeltHeightMm } from '../body/frontDrop.ts';
import type { JacketCut, JacketWorn, LapelKind } from '../jacket/jackets.ts';
import type { MannerCode } from '../knot/manners.ts';
import { type KnownOfTie, supposeTie, type Tie } from '../tie/tie.ts';
import type { LengthUnit } from '../units/length.ts';
import type { Liking } from './habits.ts';

/** Everything a plan is made from, complete. Lengths in mm. */
export interface PlanRequest {
  readonly client: {
    readonly heightMm: number;
    readonly neckMm: number;
    /** Collar button to belt top with a tape; `null` to suppose it from height. */
    readonly frontDropMm: number | null;
    readonly frontDropHow: Taking;
    readonly front: FrontCode;
    readonly beltHeightMm: number;
    readonly blade: 'right' | 'left';
    readonly crossingGapMm: number;
  };
  readonly shirt: {
    readonly collarPointMm: number;
    readonly collarSpreadMm: number;
    readonly tieSpaceMm: number;
    readonly collarAllowanceMm: number;
    readonly buttonsMm: readonly number[];
    /** Points that are buttoned or pinned down keep the neck band covered. */
    readonly pointsHeld: boolean;
  };
  readonly jacket: {
    readonly lapelMm: number;
    readonly waistcoat: boolean;
    readonly worn: JacketWorn;
    readonly lapelKind: LapelKind;
    readonly cut: JacketCut;
    /** Collar button to the button that closes it; `null` to suppose it from the belt. */
    readonly buttoningMm: number | null;
  } | null;
  readonly tie: Tie;
  /** `offsetMm` from the belt top, positive = lower; the tolerance lies around the place aimed at. */
  readonly aim: { readonly offsetMm: number; readonly aboveMm: number; readonly belowMm: number };
  readonly taste: Liking & {
    readonly collarRule: 'thirds' | 'proportion';
    readonly lapelRule: 'match' | 'within-inch';
    readonly maxMoves: number;
    readonly knots: 'named' | 'all';
    /** Which family of knots: classic, open front, narrow end, or any of them. */
    readonly manner: MannerCode | 'any';
    /** Canonical words that are looked at besides, of whatever family and length. */
    readonly also: readonly string[];
  };
  /** The unit that reasons speak in. */
  readonly units: LengthUnit;
}

/** What has to be told; the rest has defaults. */
export interface PlanQuestion {
  readonly client: Pick<PlanRequest['client'], 'heightMm' | 'neckMm'> & Partial<PlanRequest['client']>;
  readonly shirt?: Partial<PlanRequest['shirt']>;
  readonly jacket?: (Pick<NonNullable<PlanRequest['jacket']>, 'lapelMm'> & Partial<NonNullable<PlanRequest['jacket']>>) | null;
  readonly tie: KnownOfTie;
  readonly aim?: Partial<PlanRequest['aim']>;
  readonly taste?: Partial<PlanRequest['taste']>;
  readonly units?: LengthUnit;
}

/** What is supposed where nothing was said: a semi-spread collar, the belt top with 25 mm to spare above. */
export const requestDefaults = {
  client: {
    frontDropMm: null,
    frontDropHow: 'tape',
    front: 'mens',
    beltHeightMm: usualBeltHeightMm,
    blade: 'right',
    crossingGapMm: 0,
  },
  shirt: {
    collarPointMm: 75,
    collarSpreadMm: 110,
    tieSpaceMm: 8,
    collarAllowanceMm: 25,
    buttonsMm: [70, 160, 250, 340],
    pointsHeld: false,
  },
  jacket: { waistcoat: false, worn: 'open', lapelKind: 'notch', cut: 'single', buttoningMm: null },
  aim: { offsetMm: 0, aboveMm: 25, belowMm: 0 },
  taste: {
    collarRule: 'thirds',
    lapelRule: 'within-inch',
    maxMoves: 9,
    knots: 'named',
    manner: 'classic',
    also: [],
    symmetry: 'either',
    release: 'either',
    neckBand: 'hidden',
    practice: 'some',
  },
  units: 'cm',
} as const;

/** Fills in every default, so that the computation never asks whether a field is there. */
export function completeRequest(question: PlanQuestion): PlanRequest {
  return {
    client: { ...requestDefaults.client, ...question.client },
    shirt: { ...requestDefaults.shirt, ...question.shirt },
    jacket: question.jacket ? { ...requestDefaults.jacket, ...question.jacket } : null,
    tie: supposeTie(question.tie),
    aim: { ...requestDefaults.aim, ...question.aim },
    taste: { ...requestDefaults.taste, ...question.taste },
    units: question.units ?? requestDefaults.units,
  };
}
