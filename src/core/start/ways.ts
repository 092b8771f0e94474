import { fingertipsOf, type Landmark, landmarksOf } from '../body/landmarks.ts';
import { alongLoops, calibrationOf } from '../fitbook/calibration.ts';
import { type DressingHabits, dressing } from '../plan/habits.ts';
import type { KnotPlan } from '../plan/knotPlan.ts';
import { inBand, type Tolerance } from '../plan/landing.ts';
import type { PlanRequest } from '../plan/request.ts';
import { type Hang, hangOf } from './hang.ts';
import { differenceIn, type End, gainOf, markSdMm, type StateCode, tipIn, tipSdReadAt } from './reading.ts';

/** The ways people tell a start. */
export type WayCode = DressingHabits['tells'];
export const wayCodes = Object.keys(dressing.tells) as WayCode[];

/** One start, told in one way. */
export interface ToldStart {
  readonly way: WayCode;
  /** The tip that is read; of a mark the end it is on. */
  readonly end: End;
  /**
   * Below the collar button; below the landmark; how much lower the blade tip hangs than the tail tip; or from the tip of
   * the end to the spot that sits at the button. mm.
   */
  readonly mm: number;
  readonly landmark?: Pick<Landmark, 'name' | 'kind'>;
  /** How far the blade's tip may miss when the start is set this way, mm. */
  readonly tipSdMm: number;
  /** How often it ends within tolerance. */
  readonly inBandProbability: number;
}

/** Further off than this nobody reads a tip against a button, or against a point of the body, mm. */
const reachMm = { button: 45, body: 90 } as const;

/** What a start and its uncertainty are told from. */
export interface Told {
  readonly plan: KnotPlan;
  readonly request: PlanRequest;
  readonly state: StateCode;
  /** What is right around the planned tip; the aim's own unless said otherwise. */
  readonly tolerance?: Tolerance;
}

/**
 * One start in every way there is to tell it in a state of the tie, the surest first. A landmark adds what is not known
 * of itself; a button within reach is sewn on and goes before a guessed rib.
 */
export function waysToTell({ plan, request, state, tolerance = request.aim }: Told): ToldStart[] {
  const hang = hangOf(request);
  const gain = gainOf(plan);
  const { set, readings } = plan.start;
  const along = alongLoops(calibrationOf(request.calibration, plan.moves), plan.properties.active === 'blade' ? plan.takeUpMm : 0);
  const sure = (tipSdMm: number) => ({ tipSdMm, inBandProbability: inBand(tipSdMm, tolerance) });
  const readAt = (end: End | 'difference') => tipSdReadAt(hang, state, end, gain, plan.tip.sdMm, along);
  const at = (end: End) => tipIn(readings, state, end);
  const against = (end: End, way: WayCode, { name, kind, meanMm, sdMm }: Landmark): ToldStart => ({
    way,
    end,
    mm: at(end) - meanMm,
    landmark: { name, kind },
    ...sure(Math.hypot(readAt(end), gain * sdMm)),
  });
  const within = (way: 'button' | 'body') =>
    landmarksOf(request.client, request.shirt.buttonsMm)
      .filter(({ kind }) => kind === way)
      .map((landmark) => against(set.end, way, landmark))
      .filter(({ mm }) => Math.abs(mm) <= reachMm[way])
      .sort(nearest)
      .slice(0, 1);
  const other: End = set.end === 'tail' ? 'blade' : 'tail';
  const told: ToldStart[] = [
    ...[set.end, other].map((end): ToldStart => ({ way: 'below', end, mm: at(end), ...sure(readAt(end)) })),
    ...within('button'),
    ...within('body'),
    ...fingertipsOf(request.client.heightMm)
      .map((landmark) => against('blade', 'fingertip', landmark))
      .sort(nearest)
      .slice(0, 1),
    { way: 'difference', end: 'blade', mm: differenceIn(readings, state), ...sure(readAt('difference')) },
    { way: 'mark', end: set.end, mm: markOf(plan, hang), ...sure(Math.hypot(plan.tip.sdMm, gain * markSdMm)) },
  ];
  return told.sort((a, b) => a.tipSdMm - b.tipSdMm);
}

function nearest(a: ToldStart, b: ToldStart): number {
  return Math.abs(a.mm) - Math.abs(b.mm);
}

/** The spot on the end that is set that sits at the button once the loop is closed, from that end's tip. */
function markOf({ start: { set, tailDropMm } }: KnotPlan, { lengthMm, loopMm }: Hang): number {
  return set.end === 'tail' ? tailDropMm : lengthMm - loopMm - tailDropMm;
}
