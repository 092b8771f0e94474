import type { Tolerance } from '../plan/landing.ts';
import type { End } from '../start/reading.ts';
import type { TiedOnCode } from '../start/tiedOn.ts';
import { usualGain } from '../tying/start.ts';
import { clientEffect, usualPriors } from './effects.ts';
import { type LeanCode, leans } from './findings.ts';
import type { LearnRecord } from './learn.ts';

/** How a tying came to be known. */
export const sources = {
  fitting: { label: 'a fitting' },
  stand: { label: 'tied once on a stand' },
  known: { label: 'a start known to work' },
} as const;

export type SourceCode = keyof typeof sources;

/** What the formulas and the book said of a tying on its day: its inputs, kept as they were. Lengths in mm. */
export interface TyingFigures {
  /** The tail’s drop, snug, that the start amounted to. */
  readonly tailMm?: number;
  /** What the formulas alone had the knot take up. */
  readonly takeUpMm: number;
  /** Where they had the tip end against the belt top, from the start that was set; or how much lower it ended, where nobody wore it. */
  readonly reckonedOffMm?: number;
  readonly setMm?: number;
  readonly errorMm?: number;
  /** How far one such tying may be off by itself; the usual repeatability where it is missing. */
  readonly noiseMm?: number;
  /** Collar button to belt as it was known, and 1 where a tape took it. */
  readonly dropMm?: number;
  readonly dropMeasured?: number;
  /** By how much the tip moves for a millimetre of the loops it was read in. */
  readonly openBy?: number;
  readonly crossedBy?: number;
  /** What the formulas had the knot come out as. */
  readonly topMm?: number;
  readonly bottomMm?: number;
  readonly heightMm?: number;
  readonly depthMm?: number;
  readonly leanDeg?: number;
  /** 1 where the blade hung on the wearer’s left, and all came out as in a mirror. */
  readonly mirrored?: number;
  /** Where the plan had the tip end against the belt top, and how far it might miss; the tolerance around the aim. */
  readonly plannedOffMm?: number;
  readonly plannedSdMm?: number;
  readonly aimOffMm?: number;
  readonly aboveMm?: number;
  readonly belowMm?: number;
}

export const figureNames = [
  'tailMm',
  'takeUpMm',
  'reckonedOffMm',
  'setMm',
  'errorMm',
  'noiseMm',
  'dropMm',
  'dropMeasured',
  'openBy',
  'crossedBy',
  'topMm',
  'bottomMm',
  'heightMm',
  'depthMm',
  'leanDeg',
  'mirrored',
  'plannedOffMm',
  'plannedSdMm',
  'aimOffMm',
  'aboveMm',
  'belowMm',
] as const satisfies readonly (keyof TyingFigures)[];

/** Of a recorded tying, all that is learnt from. */
export interface RecordedTying {
  readonly id: string;
  readonly source: SourceCode;
  readonly clientId: string | null;
  readonly tieId: string | null;
  readonly knot: string;
  readonly personId: string | null;
  readonly neck: TiedOnCode;
  readonly end: End;
  readonly setMm: number | null;
  readonly tipOffMm: number | null;
  readonly topMm: number | null;
  readonly bottomMm: number | null;
  readonly heightMm: number | null;
  readonly depthMm: number | null;
  readonly lean: LeanCode | null;
  readonly figures: TyingFigures;
}

/** How much lower than the formulas had it the tip ended; `undefined` where it was never seen. What was corrected since counts. */
export function errorOf({
  end,
  setMm,
  tipOffMm,
  figures,
}: Pick<RecordedTying, 'end' | 'setMm' | 'tipOffMm' | 'figures'>): number | undefined {
  if (figures.reckonedOffMm === undefined) return figures.errorMm;
  if (tipOffMm === null) return undefined;
  const setLowerMm = setMm === null || figures.setMm === undefined ? 0 : setMm - figures.setMm;
  // A tail that was set lower lifts the tip by more than itself; a blade that was, lowers it.
  return tipOffMm - (figures.reckonedOffMm + (end === 'tail' ? -usualGain : 1) * setLowerMm);
}

/** Whether a tip that ended so much lower than aimed at is right. */
export function isWithin(offMm: number, { aboveMm, belowMm }: Tolerance): boolean {
  return offMm <= belowMm && offMm >= -aboveMm;
}

/** How far from the aim of its day a tip ended, lower is positive, and whether that was right; `undefined` where it was never seen. */
export function missOf({ tipOffMm, figures }: Pick<RecordedTying, 'tipOffMm' | 'figures'>): { offMm: number; within: boolean } | undefined {
  const { aimOffMm, aboveMm = 0, belowMm = 0 } = figures;
  if (tipOffMm === null || aimOffMm === undefined) return undefined;
  const offMm = tipOffMm - aimOffMm;
  return { offMm, within: isWithin(offMm, { aboveMm, belowMm }) };
}

/** A client’s collar button to belt as it is known now. */
export interface DropNow {
  readonly meanMm: number;
  readonly measured: boolean;
}

/** Further off than this is hardly a tie that was tied: it is asked about before it is kept, mm. */
export const questionableMm = 250;

/** By what the hand of a client is known who ties. */
export function clientsHand(clientId: string): string {
  return `client:${clientId}`;
}

/** By what a hand is known: the person’s, or the client’s own where the client tied. */
export function handOf({ personId, clientId, neck }: Pick<RecordedTying, 'personId' | 'clientId' | 'neck'>): string {
  return neck === 'self' && clientId !== null ? clientsHand(clientId) : (personId ?? '');
}

/**
 * A recorded tying as it is learnt from. What was told against an estimated drop is told against the one that is known now;
 * a client or tie without a record is one by itself. `undefined` where the tip was never seen.
 */
export function learnRecordOf(tying: RecordedTying, now: DropNow | undefined): LearnRecord | undefined {
  const { id, source, clientId, tieId, knot, topMm, bottomMm, heightMm, depthMm, lean, figures } = tying;
  const error = errorOf(tying);
  if (error === undefined) return undefined;
  const thenMeasured = figures.dropMeasured === 1;
  const moved = now && figures.dropMm !== undefined && !(thenMeasured && now.measured) ? now.meanMm - figures.dropMm : 0;
  return {
    stylist: handOf(tying),
    client: source === 'stand' ? null : (clientId ?? `of:${id}`),
    tie: tieId ?? `of:${id}`,
    knot,
    takeUpMm: figures.takeUpMm,
    tipErrorMm: error + moved,
    dropMeasured: now?.measured ?? thenMeasured,
    ...(figures.noiseMm !== undefined && figures.noiseMm !== usualPriors.tying && { noiseMm: figures.noiseMm }),
    openBy: figures.openBy ?? 0,
    crossedBy: figures.crossedBy ?? 0,
    top: shareBeyond(topMm, figures.topMm),
    bottom: shareBeyond(bottomMm, figures.bottomMm),
    height: shareBeyond(heightMm, figures.heightMm),
    depth: shareBeyond(depthMm, figures.depthMm),
    leanDeg:
      lean === null || figures.leanDeg === undefined ? null : (leans[lean].deg - figures.leanDeg) * (figures.mirrored === 1 ? -1 : 1),
  };
}

/** By what share something came out beyond what the formulas had; `null` where it wasn’t measured, or nothing was said of it. */
function shareBeyond(mm: number | null, formulasMm: number | undefined): number | null {
  return mm === null || !formulasMm ? null : mm / formulasMm - 1;
}

/** By what a client’s effect goes, given how its drop is known now. */
export function clientEffectNow(clientId: string, now: DropNow) {
  return clientEffect(clientId, now.measured);
}
