import { frontDropOf } from '../body/frontDrop.ts';
import { calibrationOf } from '../fitbook/calibration.ts';
import { frontEdge, pointsMeetMm, pointsUnderFronts } from '../jacket/opening.ts';
import { formatLength } from '../units/length.ts';
import type { KnotPlan } from './knotPlan.ts';
import { landingAt } from './landing.ts';
import type { PlanRequest } from './request.ts';

export interface Advice {
  readonly code: 'no-knot-lands' | 'aim-at-edge' | 'drop-estimated' | 'points-outside';
  readonly text: string;
}

/** What is worth saying about the whole outfit. `knots` best first. */
export function adviceFor(request: PlanRequest, knots: readonly KnotPlan[]): Advice[] {
  return [noKnotLands(request, knots), aimAtEdge(request, knots), dropEstimated(request), pointsOutside(request)].filter(
    (each) => each !== undefined,
  );
}

function noKnotLands({ tie, units }: PlanRequest, knots: readonly KnotPlan[]): Advice | undefined {
  const [nearest] = knots;
  if (!nearest?.refusal) return undefined;
  const { code, byMm } = nearest.refusal;
  const say = (mm: number) => formatLength(mm, units);
  const text =
    code === 'tail-too-short'
      ? `No knot works with this tie: it is at least ${say(byMm)} too short (${nearest.title}). Use a tie of ${say(tie.lengthMm + byMm)} or longer.`
      : `No knot here takes up enough of this tie: ${code === 'tail-below-blade' ? 'the tail would hang too low' : 'too much of the tail would be left to hide'} by at least ${say(byMm)} (${nearest.title}). Use a tie of ${say(tie.lengthMm - byMm)} or shorter.`;
  return { code: 'no-knot-lands', text };
}

/** A tolerance that lies all on one side of the aim wastes half the tyings: say what the middle of it would give. */
function aimAtEdge({ aim, client, units, calibration }: PlanRequest, [best]: readonly KnotPlan[]): Advice | undefined {
  const shift = (aim.belowMm - aim.aboveMm) / 2;
  if (!best || best.refusal || Math.abs(shift) < 5) return undefined;
  const half = (aim.aboveMm + aim.belowMm) / 2;
  const drop = frontDropOf(client);
  const centred = landingAt(
    best.tip.dropMm + shift,
    best.takeUpMm,
    drop,
    { aboveMm: half, belowMm: half },
    calibrationOf(calibration, best.moves),
  );
  const inHundred = (chance: number) => Math.round(chance * 100);
  if (inHundred(centred.inBandProbability) <= inHundred(best.tip.inBandProbability)) return undefined;
  return {
    code: 'aim-at-edge',
    text: `Aim ${formatLength(Math.abs(shift), units)} ${shift < 0 ? 'higher' : 'lower'}: ${inHundred(centred.inBandProbability)} in 100 land within tolerance, not ${inHundred(best.tip.inBandProbability)}.`,
  };
}

function dropEstimated({ client, units }: PlanRequest): Advice | undefined {
  const drop = frontDropOf(client);
  if (drop.measured) return undefined;
  return {
    code: 'drop-estimated',
    text: `Collar button to belt is estimated${client.frontDropMm === null ? ' from height' : ''}: ${formatLength(drop.meanMm, units)} (±${formatLength(drop.sdMm, units)}). A tape narrows it.`,
  };
}

/** Points that end on the shirt front lift and curl; under a buttoned jacket's fronts they lie. */
function pointsOutside({ client, shirt, jacket, units }: PlanRequest): Advice | undefined {
  if (jacket?.worn !== 'closed') return undefined;
  const under = pointsUnderFronts(shirt, frontEdge(jacket, client.neckMm, frontDropOf(client).meanMm));
  if (under >= -pointsMeetMm) return undefined;
  return {
    code: 'points-outside',
    text: `The collar points end ${formatLength(-under, units)} short of the jacket fronts: a wider or longer collar would reach under them.`,
  };
}
