import type { FrontCode, Taking } from '../body/frontDrop.ts';
import { type Calibration, uncalibrated } from '../fitbook/calibration.ts';
import type { JacketCut, JacketWorn, LapelKind } from '../jacket/jackets.ts';
import type { MannerCode } from '../knot/manners.ts';
import { type KnownOfTie, type Neckwear, supposeTie } from '../tie/tie.ts';
import type { LengthUnit } from '../units/length.ts';
import { usualBeltMm } from '../usual.ts';
import { type Aim, aims } from './aims.ts';
import type { DressCodeKey } from './dressCodes.ts';
import type { Liking } from './habits.ts';
import type { PrescribedPatternsCode } from './prescribedPatterns.ts';
import type { HouseRules } from './schools.ts';

/** What the client is dressed for. */
export interface Occasion {
  /** `null` where nothing was said. */
  readonly dressCode: DressCodeKey | null;
  /** Which patterns its dress regulation allows; `null` where it says nothing of them. */
  readonly patterns: PrescribedPatternsCode | null;
}

/** Which knots are looked at. */
export interface Search {
  readonly maxMoves: number;
  readonly knots: 'named' | 'all';
  /** Which family of knots: classic, open front, tail ties, or any of them. */
  readonly manner: MannerCode | 'any';
  /** Canonical moves that are looked at besides, of whatever family and length. */
  readonly also: readonly string[];
}

/** Everything a plan is made from, complete. Lengths in mm. */
export interface PlanRequest {
  readonly client: {
    readonly heightMm: number;
    readonly neckMm: number;
    /** Collar button to belt top with a tape; `null` to estimate it from height. */
    readonly frontDropMm: number | null;
    readonly frontDropHow: Taking;
    readonly front: FrontCode;
    readonly beltHeightMm: number;
    readonly blade: 'right' | 'left';
    /** Where the ends are crossed, below the button: changes how a start is read, not the start itself. */
    readonly crossingGapMm: number;
    /** Length of tie above the button's level while it hangs open around the raised collar; `null` to estimate it. */
    readonly openLoopMm: number | null;
    /** Length of the loop with the ends crossed at the gap; `null` to estimate it. */
    readonly crossedLoopMm: number | null;
  };
  readonly shirt: {
    readonly collarPointMm: number;
    readonly collarSpreadMm: number;
    readonly tieSpaceMm: number;
    readonly collarAllowanceMm: number;
    /** Height of the neckband at the button; `null` where it was never taken. */
    readonly standMm: number | null;
    readonly buttonsMm: readonly number[];
    /** Points that are buttoned or pinned down keep the tie band covered. */
    readonly pointsHeld: boolean;
  };
  readonly jacket: {
    readonly lapelMm: number;
    readonly waistcoat: boolean;
    readonly worn: JacketWorn;
    readonly lapelKind: LapelKind;
    readonly cut: JacketCut;
    /** Collar button to the button that closes it; `null` to estimate it from the belt. */
    readonly buttoningMm: number | null;
  } | null;
  readonly tie: Neckwear;
  /** `offsetMm` from the belt top, positive = lower; the tolerance lies around the place aimed at. */
  readonly aim: Aim;
  readonly occasion: Occasion;
  readonly liking: Liking;
  readonly rules: HouseRules;
  readonly search: Search;
  /** What is known beyond the formulas. */
  readonly calibration: Calibration;
  /** The unit that reasons speak in. */
  readonly units: LengthUnit;
}

/** What has to be told; the rest has defaults. `taste` is how other programs tell liking, rules and search in one. */
export interface PlanQuestion {
  readonly client: Pick<PlanRequest['client'], 'heightMm' | 'neckMm'> & Partial<PlanRequest['client']>;
  readonly shirt?: Partial<PlanRequest['shirt']>;
  readonly jacket?: (Pick<NonNullable<PlanRequest['jacket']>, 'lapelMm'> & Partial<NonNullable<PlanRequest['jacket']>>) | null;
  readonly tie: KnownOfTie;
  readonly aim?: Partial<PlanRequest['aim']>;
  readonly taste?: Partial<Liking & HouseRules & Search>;
  readonly occasion?: Partial<Occasion>;
  readonly liking?: Partial<Liking>;
  readonly rules?: Partial<HouseRules>;
  readonly search?: Partial<Search>;
  readonly calibration?: Calibration;
  readonly units?: LengthUnit;
}

const { offsetMm, aboveMm, belowMm } = aims['finger-above'];

/** What is taken where nothing was said: a semi-spread collar, and a finger above the belt as the aim. */
export const requestDefaults = {
  client: {
    frontDropMm: null,
    frontDropHow: 'tape',
    front: 'mens',
    beltHeightMm: usualBeltMm,
    blade: 'right',
    crossingGapMm: 0,
    openLoopMm: null,
    crossedLoopMm: null,
  },
  shirt: {
    collarPointMm: 75,
    collarSpreadMm: 110,
    tieSpaceMm: 8,
    collarAllowanceMm: 25,
    standMm: null,
    buttonsMm: [70, 160, 250, 340],
    pointsHeld: false,
  },
  jacket: { waistcoat: false, worn: 'open', lapelKind: 'notch', cut: 'single', buttoningMm: null },
  aim: { offsetMm, aboveMm, belowMm },
  occasion: { dressCode: null, patterns: null },
  liking: { symmetry: 'either', release: 'either', neckBand: 'hidden', dimple: 'off-centre', practice: 'some' },
  rules: { collarRule: 'thirds', lapelRule: 'within-inch' },
  search: { maxMoves: 9, knots: 'named', manner: 'classic', also: [] },
  units: 'cm',
} as const;

/** Fills in every default, so that the computation never asks whether a field is there. */
export function completeRequest(question: PlanQuestion): PlanRequest {
  const { taste } = question;
  return {
    client: { ...requestDefaults.client, ...question.client },
    shirt: { ...requestDefaults.shirt, ...question.shirt },
    jacket: question.jacket ? { ...requestDefaults.jacket, ...question.jacket } : null,
    tie: supposeTie(question.tie),
    aim: { ...requestDefaults.aim, ...question.aim },
    occasion: { ...requestDefaults.occasion, ...question.occasion },
    liking: { ...requestDefaults.liking, ...pick(taste, keysOf(requestDefaults.liking)), ...question.liking },
    rules: { ...requestDefaults.rules, ...pick(taste, keysOf(requestDefaults.rules)), ...question.rules },
    search: { ...requestDefaults.search, ...pick(taste, keysOf(requestDefaults.search)), ...question.search },
    calibration: question.calibration ?? uncalibrated,
    units: question.units ?? requestDefaults.units,
  };
}

function keysOf<T extends object>(defaults: T): readonly (keyof T & string)[] {
  return Object.keys(defaults) as (keyof T & string)[];
}

function pick<T extends object, K extends string>(from: T | undefined, keys: readonly K[]): Partial<Pick<T, K & keyof T>> {
  if (!from) return {};
  return Object.fromEntries(Object.entries(from).filter(([key]) => keys.includes(key as K))) as Partial<Pick<T, K & keyof T>>;
}
