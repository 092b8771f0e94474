import { dayIn } from '../../../contract/days.ts';
import type { TyingRecord } from '../../../contract/records/records.ts';
import { frontDropOf } from '../../../core/body/frontDrop.ts';
import type { FindingCode } from '../../../core/fitbook/findings.ts';
import { untaught } from '../../../core/fitbook/here.ts';
import { questionableMm } from '../../../core/fitbook/tying.ts';
import type { KnotPlan, PlanRequest } from '../../../core/index.ts';
import { planKnot } from '../../../core/plan/plan.ts';
import { attemptOf } from '../../../core/start/attempts.ts';
import { hangOf } from '../../../core/start/hang.ts';
import { type StateCode, tailFrom, tipByLoops, tipIn } from '../../../core/start/reading.ts';
import { tailOnClient } from '../../../core/start/tiedOn.ts';
import { leanDegOf } from '../../../core/tying/shape.ts';
import { type LengthUnit, roughly } from '../../../core/units/length.ts';
import type { CheckEntries } from '../../atHand/checkEntries.ts';
import type { AtHand } from '../../atHand/values.ts';

/** A fitting that was tied, and how its start was read. */
export interface Tied {
  /** The plan it was tied from, and what it was asked. */
  readonly plan: KnotPlan;
  readonly request: PlanRequest;
  /** The same as it was read, where the knot was tied on another neck. */
  readonly read: { readonly plan: KnotPlan; readonly request: PlanRequest };
  readonly state: StateCode;
  readonly units: LengthUnit;
}

/** Where the start was set: as it was entered, or as it was told. */
export function setAt({ read, state, units, plan }: Tied, { setMm }: Pick<CheckEntries, 'setMm'>): number {
  return setMm ?? roughly(tipIn(read.plan.start.readings, state, plan.start.set.end), units);
}

/** The tying as one of the attempts of this fitting, against what the formulas alone say of it. */
export function attemptSeen(tied: Tied, check: CheckEntries, tipOffMm: number, tie: string) {
  const { plan, request, read, state } = tied;
  const hang = hangOf(untaught(read.request));
  const tailMm = tailOnClient(tailFrom(state, plan.start.set.end, setAt(tied, check), hang), request, read.request);
  return attemptOf(request, { moves: plan.moves, tie, tailMm, state, tipOffMm, tailEndMm: check.tailEndMm });
}

/** What is found by measuring: a tail below the blade, and a lean that anyone sees. */
export function foundByMeasure({ plan, request }: Pick<Tied, 'plan' | 'request'>, check: CheckEntries): FindingCode[] {
  const { tipOffMm, tailEndMm, lean } = check;
  const beltMm = frontDropOf(request.client).meanMm;
  const tipMm = tipOffMm === null ? plan.tip.dropMm : beltMm + tipOffMm;
  return [
    ...(tailEndMm !== null && tailEndMm > tipMm ? (['tail-below-blade'] as const) : []),
    ...(lean === 'clear-left' ? (['leans-left'] as const) : lean === 'clear-right' ? (['leans-right'] as const) : []),
  ];
}

interface Belongs {
  readonly fittingId: string;
  readonly label: string;
  readonly personId: string | null;
  readonly timeZone: string;
  /** The fitting’s own day, where it was saved before; today for one that is saved now. ISO 8601. */
  readonly at: string | undefined;
}

/** The record that a look at the tied knot makes, with the inputs of its day. Needs the tip. */
export function tyingFrom(
  values: AtHand,
  tied: Tied,
  tipOffMm: number,
  { fittingId, label, personId, timeZone, at }: Belongs,
): TyingRecord {
  const { check } = values;
  const { plan, request, state } = tied;
  const seen = attemptSeen(tied, check, tipOffMm, '');
  const drop = frontDropOf(request.client);
  const { shape } = planKnot(untaught(request), plan.moves);
  const { end } = plan.start.set;
  const byLoops = tipByLoops(state, end);
  return {
    id: fittingId,
    version: 0,
    archived: false,
    label,
    source: 'fitting',
    clientId: values.client.id,
    tieId: values.tie.id,
    knot: plan.moves,
    personId,
    neck: values.tiedOn,
    doneOn: dayIn(timeZone, at),
    state,
    end,
    setMm: setAt(tied, check),
    tipOffMm,
    tailEndMm: check.tailEndMm,
    tries: values.attempts.length + 1,
    minutes: check.minutes,
    topMm: check.topMm,
    bottomMm: check.bottomMm,
    heightMm: check.heightMm,
    depthMm: check.depthMm,
    lean: check.lean,
    findings: [...new Set([...check.findings, ...foundByMeasure(tied, check)])],
    clientVerdict: check.clientVerdict,
    stylistVerdict: check.stylistVerdict,
    counts: true,
    note: '',
    figures: {
      tailMm: seen.tailMm,
      takeUpMm: seen.takeUpMm,
      reckonedOffMm: tipOffMm - seen.errorMm,
      setMm: setAt(tied, check),
      dropMm: drop.meanMm,
      dropMeasured: drop.measured ? 1 : 0,
      openBy: request.client.openLoopMm === null ? byLoops.openBy : 0,
      crossedBy: request.client.crossedLoopMm === null ? byLoops.crossedBy : 0,
      topMm: shape.topMm,
      bottomMm: shape.bottomMm,
      heightMm: shape.heightMm,
      depthMm: shape.depthMm,
      leanDeg: leanDegOf(shape),
      mirrored: request.client.blade === 'left' ? 1 : 0,
      plannedOffMm: plan.tip.dropMm - drop.meanMm,
      plannedSdMm: plan.start.readings.tipSdMm?.[state] ?? plan.tip.sdMm,
      aimOffMm: request.aim.offsetMm,
      aboveMm: request.aim.aboveMm,
      belowMm: request.aim.belowMm,
    },
  };
}

/** Whether the tip was entered so far off that it is asked about before it is kept. */
export function isQuestionable(tipOffMm: number, { aim }: PlanRequest): boolean {
  return Math.abs(tipOffMm - aim.offsetMm) > questionableMm;
}
